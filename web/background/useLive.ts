import { useEffect, useRef, useState } from 'react';

/**
 * Quick work in the background that follows a hand: asked again as soon as the last answer is there, always of the latest.
 * @returns the last answer; nothing before the first, and where the call breaks
 */
export function useLive<I, T>(input: I, run: (input: I) => Promise<T>): T | undefined {
  const [value, setValue] = useState<T>();
  const wanted = useRef<{ readonly input: I; readonly run: (input: I) => Promise<T> }>(undefined);
  const busy = useRef(false);
  const gone = useRef(false);
  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
    };
  }, []);
  useEffect(() => {
    wanted.current = { input, run };
    if (busy.current) return;
    busy.current = true;
    const next = async (): Promise<void> => {
      while (wanted.current && !gone.current) {
        const { input, run } = wanted.current;
        wanted.current = undefined;
        try {
          const answer = await run(input);
          if (!gone.current) setValue(() => answer);
        } catch {
          if (!gone.current) setValue(undefined);
        }
      }
      busy.current = false;
    };
    void next();
  }, [input, run]);
  return value;
}
