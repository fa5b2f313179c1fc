/** What a browser may refuse: small things remembered beside the gardens, word from tab to tab, room for it all. */

/** Small things of this browser; remembered for this page alone where it keeps none. */
const fallback = new Map<string, string>();
export const remembering = {
  get(key: string): string | null {
    try {
      return localStorage.getItem(key) ?? fallback.get(key) ?? null;
    } catch {
      return fallback.get(key) ?? null;
    }
  },
  set(key: string, value: string): void {
    fallback.set(key, value);
    try {
      localStorage.setItem(key, value);
    } catch {
      // Remembered for this page.
    }
  },
};

const OPEN_KEY = 'cabanon.open';

/** The garden that was open last in this browser. */
export const lastOpen = (): string | null => remembering.get(OPEN_KEY);
export const openedLast = (id: string): void => remembering.set(OPEN_KEY, id);

/** A way to tell the other tabs, where there is one; they find out by themselves when they are looked at again. */
export function channelOf<T>(name: string, hear: (message: T) => void): (message: T) => void {
  try {
    const channel = new BroadcastChannel(name);
    channel.onmessage = (event: MessageEvent<T>) => hear(event.data);
    return (message) => channel.postMessage(message);
  } catch {
    return () => undefined;
  }
}

/** How much of its storage this browser has given away, bytes, and whether it keeps it for good. */
export interface Room {
  readonly used: number;
  readonly most: number;
  readonly forGood: boolean;
}

/** Beyond this share of what the browser gives, room is made before it runs out. */
const NEARLY_FULL = 0.8;
export const nearlyFull = (room: Room): boolean => room.used > NEARLY_FULL * room.most;

/** What the browser says of its storage; undefined where it says nothing. */
export async function roomLeft(): Promise<Room | undefined> {
  try {
    const [{ usage, quota }, forGood] = await Promise.all([
      navigator.storage.estimate(),
      navigator.storage.persisted(),
    ]);
    return usage === undefined || quota === undefined ? undefined : { used: usage, most: quota, forGood };
  } catch {
    return undefined;
  }
}

/** Asks that what is kept here is not cleared away when the machine runs short of room. */
export async function askToKeep(): Promise<void> {
  try {
    if (!(await navigator.storage.persisted())) await navigator.storage.persist();
  } catch {
    // It is kept as long as the browser likes.
  }
}
