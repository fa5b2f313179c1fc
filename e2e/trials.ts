/** Ways to hurt a page before it starts; shared by the journeys and by the long trials. */
import type { Page } from '@playwright/test';

/** What a browser may refuse, each alone. */
export const REFUSALS = {
  'IndexedDB is not there': () => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
  },
  'IndexedDB throws when it is looked at': () => {
    Object.defineProperty(window, 'indexedDB', {
      get() {
        throw new DOMException('denied', 'SecurityError');
      },
    });
  },
  'IndexedDB does not open': () => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
  },
  'IndexedDB never answers': () => {
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
  },
  'IndexedDB writes nothing': () => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  },
  'localStorage throws': () => {
    Object.defineProperty(window, 'localStorage', {
      get() {
        throw new DOMException('denied', 'SecurityError');
      },
    });
  },
  'localStorage writes nothing': () => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  },
  'BroadcastChannel is not there': () => {
    Object.defineProperty(window, 'BroadcastChannel', { value: undefined });
  },
  'BroadcastChannel throws': () => {
    Object.defineProperty(window, 'BroadcastChannel', {
      value: function () {
        throw new DOMException('denied', 'SecurityError');
      },
    });
  },
} as const;
export type Refusal = keyof typeof REFUSALS;

/** Refusals after which nothing can be kept, so that it must be said. */
export const keepsNothing = (refusal: Refusal): boolean => refusal.startsWith('IndexedDB');

export async function refuse(page: Page, refusal: Refusal): Promise<void> {
  await page.addInitScript(REFUSALS[refusal]);
}
