/** What the app holds: the open garden, how it is kept, and what is said. */
import { type PayloadAction, type ThunkAction, type UnknownAction, createSlice } from '@reduxjs/toolkit';
import type { Fault } from '../../core/base/result';
import type { Step, UndoHistory } from '../../core/garden/history';
import type { Merge } from '../../core/garden/merge';
import { type Workforce, jobsApi, progressReducer } from '../background/jobsApi';
import type { Storage } from '../storage/db';

export type SaveState =
  | { readonly kind: 'saved' | 'saving' }
  /** Why it is not kept, and since when; tried again until it is. */
  | { readonly kind: 'failed'; readonly why: string; readonly since: number }
  /** Deleted in another tab: nothing is saved until the gardener says so. */
  | { readonly kind: 'gone' };

export interface OpenGarden extends UndoHistory {
  readonly id: string;
  /** What storage holds. */
  readonly synced: UndoHistory & { readonly revision: number };
  /** What was done since, step by step. */
  readonly steps: readonly Step[];
  /** The last step of this tab that the journal was told. */
  readonly n: number;
  /** Steps of tabs that ended early, that are put on top. */
  readonly seen: Readonly<Record<string, number>>;
  readonly save: SaveState;
  /** What this tab and another both changed, when that must be asked. */
  readonly asking: Merge | null;
  /** A garden that does not read as a whole, shown as far as it does: why; it is not worked on. */
  readonly look: readonly Fault[] | null;
}

export interface AppState {
  readonly open: OpenGarden | null;
  /** Gardens that are kept nowhere but in this page, while another is open. */
  readonly aside: readonly OpenGarden[];
  readonly notice: string | null;
  /** The bed and cover that were last worked on. */
  readonly inHand: { readonly bedId?: string | undefined; readonly coverId?: string | undefined };
  /** Work in the background, and how far it is. */
  readonly jobs: ReturnType<typeof jobsApi.reducer>;
  readonly progress: ReturnType<typeof progressReducer>;
}

type Own = Omit<AppState, 'jobs' | 'progress'>;
const start = { open: null, aside: [], notice: null, inHand: {} } as Own;

/** Whether what is done to a garden would be lost with the page. */
export const isAtRisk = ({ save, asking }: OpenGarden): boolean =>
  save.kind === 'failed' || save.kind === 'gone' || asking !== null;

const slice = createSlice({
  name: 'app',
  initialState: start,
  reducers: {
    /** Opens a garden; what was open and is kept nowhere is put aside, unless it is closed on purpose. */
    opened: (state, { payload }: PayloadAction<OpenGarden | null>) => {
      const { open } = state;
      const leaves = open && payload && open.id !== payload.id && isAtRisk(open) ? [open] : [];
      const aside = [...state.aside, ...leaves].filter((garden) => garden.id !== payload?.id);
      return { ...state, open: payload, aside };
    },
    /** Lets a garden go that was put aside. */
    pendingDiscarded: (state, { payload: id }: PayloadAction<string>) => ({
      ...state,
      aside: state.aside.filter((garden) => garden.id !== id),
    }),
    /** Something of the garden of that id, while it is the open one. */
    gardenPatched: (state, { payload: { id, ...part } }: PayloadAction<Partial<OpenGarden> & { id: string }>) =>
      state.open?.id === id ? { ...state, open: { ...state.open, ...part } } : state,
    /** A bed or a cover is worked on; with none of them, the last stays in mind. */
    tookInHand: (state, { payload }: PayloadAction<AppState['inHand']>) => ({
      ...state,
      inHand: { bedId: payload.bedId, coverId: payload.coverId ?? state.inHand.coverId },
    }),
    noticeShown: (state, action: PayloadAction<string | null>) => ({ ...state, notice: action.payload }),
  },
});

export const { noticeShown, opened, gardenPatched, pendingDiscarded, tookInHand } = slice.actions;

/** What is the app's own stands beside what works in the background. */
export function reducer(state: AppState | undefined, action: UnknownAction): AppState {
  const { jobs, progress, ...own } = state ?? { ...start, jobs: undefined, progress: undefined };
  const next = {
    ...slice.reducer(own, action),
    jobs: jobsApi.reducer(jobs, action),
    progress: progressReducer(progress, action),
  };
  const same = state && (Object.keys(next) as (keyof AppState)[]).every((key) => next[key] === state[key]);
  return same ? state : next;
}

/** What the store needs from the world; tests give their own. */
export interface World extends Workforce {
  readonly db: () => Storage;
  readonly now: () => number;
  /** This tab, among all that work on the same storage. */
  readonly tab: string;
  /** Tells other tabs that a garden was saved, or deleted where there is no revision. */
  readonly announce: (id: string, revision: number | undefined) => void;
  /** How long a save that failed waits to be tried again, ms; longer each time. */
  readonly retryMs: number;
}

export type Thunk<R> = ThunkAction<R, AppState, World, UnknownAction>;
