/** A newer build under an open page: it is fetched at a quiet moment, and nothing is lost by it. */
import { type ComponentType, type ReactNode, createElement, useEffect, useState } from 'react';
import { messageOf } from '../../core/base/result';
import { whenBroken } from '../background/workers';
import { inTime } from '../storage/db';
import { allSaved } from './saving';
import { atRisk } from './world';

/** A part of the program that could not be fetched. */
export class PartMissing extends Error {}

/** Longest that a part of the program is waited for, ms: a slow network brings the largest in less. */
const PART_MS = 30_000;

/** Loads a part of the program; one that does not come, or comes empty, is told apart from one that breaks. */
export function loadPart<T>(load: () => Promise<T>, mostMs = PART_MS): Promise<T> {
  return inTime(load(), mostMs).then(
    (it) => (it === undefined ? Promise.reject(new PartMissing('it came empty')) : it),
    (why: unknown) => Promise.reject(new PartMissing(messageOf(why))),
  );
}

/** Does it once what is drawn now is painted; gives what calls it off. */
export function onceDrawn(then: () => void): () => void {
  let frame = requestAnimationFrame(() => {
    frame = requestAnimationFrame(then);
  });
  return () => cancelAnimationFrame(frame);
}

/** A component that is fetched when it is first drawn, or ahead of that. */
export type LazyPart<P> = ((props: P) => ReactNode) & { readonly ahead: () => Promise<unknown> };

/**
 * Fetches a component when it is first drawn.
 * React's own lazy would hold each back for .3 s after whatever it showed meanwhile; this one is drawn as it comes.
 * @param waiting what is shown meanwhile
 */
export function lazyPart<P extends object>(
  load: () => Promise<ComponentType<P>>,
  waiting: ReactNode = null,
): LazyPart<P> {
  let known: ComponentType<P> | undefined;
  let coming: Promise<ComponentType<P>> | undefined;
  const ahead = (): Promise<ComponentType<P>> => {
    coming ??= loadPart(load).then(
      (it) => (known = it),
      (why: unknown) => {
        coming = undefined;
        throw why;
      },
    );
    return coming;
  };
  function Part(props: P): ReactNode {
    const [now, show] = useState(() => ({ it: known, broken: undefined as unknown }));
    useEffect(() => {
      if (now.it) return;
      let current = true;
      ahead().then(
        (it) => current && show({ it, broken: undefined }),
        (broken: unknown) => current && show({ it: undefined, broken }),
      );
      return () => {
        current = false;
      };
    }, [now.it]);
    if (now.broken !== undefined) throw now.broken;
    return now.it ? createElement(now.it, props) : waiting;
  }
  return Object.assign(Part, { ahead });
}

/** The script that a page begins with: another name is another build. */
const begins = (page: Document): string | undefined =>
  page.querySelector('script[type="module"][src]')?.getAttribute('src') ?? undefined;
const ours = begins(document);

/** The page as the server has it now; undefined while it cannot be reached. */
async function pageNow(): Promise<Document | undefined> {
  try {
    const answer = await fetch('/', { cache: 'no-store', signal: AbortSignal.timeout(5000) });
    return answer.ok ? new DOMParser().parseFromString(await answer.text(), 'text/html') : undefined;
  } catch {
    return undefined;
  }
}

const typing = (): boolean => document.activeElement instanceof HTMLInputElement;
const ONCE = 'cabanon.afresh';
const AGAIN_MS = 60_000;

/** Whether this page was loaded afresh a moment ago: doing it over and over would help nobody. */
function justDone(): boolean {
  try {
    const last = Number(sessionStorage.getItem(ONCE));
    sessionStorage.setItem(ONCE, String(Date.now()));
    return Date.now() - last < AGAIN_MS;
  } catch {
    return true;
  }
}

/**
 * Loads the page afresh, when all is kept and the server is there.
 * @param how `once`: by itself, so not again at once, and not while something is at risk
 * @returns false when it cannot be done now
 */
export async function goAfresh(how?: 'once'): Promise<boolean> {
  if (!(await pageNow())) return false;
  await allSaved();
  if (how === 'once' && (atRisk() || justDone())) return false;
  location.reload();
  return true;
}

let newer = false;

/** Asks whether there is a newer build. */
export async function lookForNewer(): Promise<void> {
  const now = await pageNow();
  const theirs = now && begins(now);
  newer ||= ours !== undefined && theirs !== undefined && theirs !== ours;
}

/** A quiet moment: another place was just gone to, or the page was put aside. */
export function quiet(): void {
  if (newer && !typing()) void goAfresh('once');
}

// A worker may be gone with an older build.
whenBroken(() => void lookForNewer().then(quiet));

const LOOK_EVERY_MS = 5 * 60_000;
if (import.meta.env.PROD) {
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') void lookForNewer();
    else quiet();
  });
  setInterval(() => void lookForNewer(), LOOK_EVERY_MS);
}
