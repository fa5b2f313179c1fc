/** @jest-environment jsdom */
/** Work in the background as screens see it, with answers given by hand. */
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { ok } from '../../core/base/result';
import { demoGarden } from '../../core/garden/demo';
import { opened } from '../app/state';
import { createStore } from '../app/store';
import type { JobCall } from './jobsApi';
import { NotWanted } from './queue';
import { useJob } from './useJob';

interface Asked extends JobCall {
  readonly take: (answer: unknown) => void;
  readonly refuse: (why: unknown) => void;
  readonly hear: (progress: unknown) => void;
  left: boolean;
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
/** As long as a screen takes to be drawn, and longer. */
const pass = (ms = 200): Promise<void> => act(() => jest.advanceTimersByTimeAsync(ms));

/** Does something, and waits until the screen has heard of it. */
const settle = (does: () => unknown): Promise<void> =>
  act(async () => {
    does();
    await jest.advanceTimersByTimeAsync(20);
  });

function background() {
  const asked: Asked[] = [];
  const store = createStore({
    db: () => Promise.reject(new Error('nothing is kept here')),
    now: Date.now,
    tab: 'tab',
    announce: () => undefined,
    retryMs: 1e6,
    begin: (call, hear) => {
      let one: Asked | undefined;
      const answer = new Promise((take, refuse) => {
        one = { ...call, take, refuse, hear, left: false };
        asked.push(one);
      });
      return {
        answer,
        stop: () => one?.refuse(new NotWanted('stopped')),
        leave: () => {
          if (one) one.left = true;
        },
      };
    },
  });
  const doc = demoGarden();
  const history = { doc, edits: [], at: 0 };
  store.dispatch(
    opened({
      ...history,
      id: 'g',
      synced: { ...history, revision: 1 },
      steps: [],
      n: 0,
      seen: {},
      save: { kind: 'saved' },
      asking: null,
      look: null,
    }),
  );
  const wrapper = ({ children }: { readonly children: ReactNode }): ReactNode => (
    <Provider store={store}>{children}</Provider>
  );
  const screen = (coverId: string, live = false) =>
    renderHook(({ id }) => useJob('seasons', { coverIds: [id], from: '2027-01-01' }, { live }), {
      wrapper,
      initialProps: { id: coverId },
    });
  return { asked, screen };
}
const season = (coverId: string) => ok([{ coverId, wears: 'film-uv', tasks: [] }]);

test('it is pending, and then done; what there was stays until there is another', async () => {
  const { asked, screen } = background();
  const { result, rerender } = screen('a');
  expect(result.current.state).toBe('pending');
  await pass();
  expect(asked).toHaveLength(1);
  await pass(400);
  expect(result.current.slow).toBe(true);
  await settle(() => asked[0]?.take(season('a')));
  expect(result.current).toMatchObject({ state: 'done', slow: false, value: [{ coverId: 'a' }] });
  rerender({ id: 'b' });
  await pass();
  expect(result.current).toMatchObject({ state: 'pending', value: [{ coverId: 'a' }] });
  await settle(() => asked[1]?.take(season('b')));
  expect(result.current.value).toMatchObject([{ coverId: 'b' }]);
  // It is known still: nothing is asked again.
  rerender({ id: 'a' });
  expect(result.current).toMatchObject({ state: 'done', value: [{ coverId: 'a' }] });
  await pass();
  expect(asked).toHaveLength(2);
});

test('two who ask the same are answered together; it is left when both have gone', async () => {
  const { asked, screen } = background();
  const [one, two] = [screen('a'), screen('a')];
  await pass();
  expect(asked).toHaveLength(1);
  one.unmount();
  expect(asked[0]?.left).toBe(false);
  two.unmount();
  expect(asked[0]?.left).toBe(true);
});

test('answers that come out of order are each shown where they were asked for', async () => {
  const { asked, screen } = background();
  const [one, two] = [screen('a'), screen('b')];
  await pass();
  await settle(() => asked[1]?.take(season('b')));
  expect([one.result.current.state, two.result.current.state]).toEqual(['pending', 'done']);
  await settle(() => asked[0]?.take(season('a')));
  expect([one, two].map((s) => s.result.current.value?.[0]?.coverId)).toEqual(['a', 'b']);
});

test('stopped, it gives the best until then, and no other is stopped; it can be asked for again', async () => {
  const { asked, screen } = background();
  const [one, two] = [screen('a'), screen('b')];
  await pass();
  await settle(() => {
    asked[0]?.hear({ solved: 1, sections: 3, work: [{ coverId: 'a', wears: 'best so far', tasks: [] }] });
    // A word without anything new takes nothing away.
    asked[0]?.hear({ solved: 2, sections: 3, work: undefined });
  });
  expect(one.result.current.progress).toMatchObject({ solved: 2, work: [{ wears: 'best so far' }] });
  await settle(() => one.result.current.stop());
  expect(one.result.current).toMatchObject({ state: 'stopped', value: [{ wears: 'best so far' }] });
  expect(two.result.current.state).toBe('pending');
  await settle(() => one.result.current.retry());
  await pass();
  expect(one.result.current.state).toBe('pending');
  await settle(() => asked[2]?.take(season('a')));
  expect(one.result.current.state).toBe('done');
});

test('what breaks says why; what cannot be says what is wrong', async () => {
  const { asked, screen } = background();
  const [one, two] = [screen('a'), screen('b')];
  await pass();
  await settle(() => {
    asked[0]?.refuse(new Error('it took too long'));
    asked[1]?.take({ ok: false, faults: [{ field: 'cover', message: 'It is gone.' }] });
  });
  expect(one.result.current).toMatchObject({ state: 'failed', faults: [{ message: 'it took too long' }] });
  expect(two.result.current).toMatchObject({ state: 'done', value: undefined, faults: [{ field: 'cover' }] });
});

test('what follows a hand is asked of the latest, once the last is answered, and shows each answer', async () => {
  const { asked, screen } = background();
  const { result, rerender } = screen('a', true);
  await pass(0);
  for (const id of ['b', 'c', 'd']) rerender({ id });
  await pass(0);
  expect(asked).toHaveLength(1);
  await settle(() => asked[0]?.take(season('a')));
  expect(result.current.value).toMatchObject([{ coverId: 'a' }]);
  await pass(0);
  expect(asked.map((j) => (j.input as { coverIds: string[] }).coverIds[0])).toEqual(['a', 'd']);
});
