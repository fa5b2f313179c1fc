import { useEffect } from 'react';

/** Keeps the screen on while a place is in use that is read with full hands, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const take = async (): Promise<void> => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (left) await lock.release();
      } catch {
        // Refused, as with a battery that is nearly empty: the screen goes off as it always did.
      }
    };
    const again = (): void => void take();
    void take();
    // The browser lets it go when the page is put aside.
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
