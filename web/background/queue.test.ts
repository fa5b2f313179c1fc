/** One job at a time, each stopped by itself: with workers that are slow, dead, silent and out of order. */
import { NotWanted, type Port, workQueue } from './queue';

/** A port whose jobs are answered by hand. */
interface Hand {
  readonly jobs: Map<
    string,
    { take: (answer: string) => void; refuse: (why: Error) => void; hear: (p: unknown) => void }
  >;
  readonly broken: (why: Error) => void;
  left: boolean;
  ended: boolean;
}

function byHand(whenLeft: 'nothing' | 'told' | 'ended' = 'nothing', silenceMs = 1000) {
  const ports: Hand[] = [];
  const queue = workQueue<string>({
    silenceMs,
    whenLeft: () => whenLeft,
    start: (broken): Port<string> => {
      const port: Hand = { jobs: new Map(), broken, left: false, ended: false };
      ports.push(port);
      return {
        leave: () => void (port.left = true),
        end: () => void (port.ended = true),
        run: (job, hear) => new Promise((take, refuse) => port.jobs.set(job, { take, refuse, hear })),
      };
    },
  });
  const heard: unknown[] = [];
  return { ...queue, ports, heard, askFor: (job: string) => queue.ask(job, (p) => heard.push(p)) };
}
const why = (answer: Promise<unknown>): Promise<unknown> =>
  answer.then(
    () => 'answered',
    (e: unknown) => e,
  );
/** Lets what is settled be heard of. */
const turn = (): Promise<void> => new Promise((go) => setImmediate(go));

test('jobs are done one after the other, in the order they were asked for', async () => {
  const q = byHand();
  const [a, b] = [q.askFor('a'), q.askFor('b')];
  expect([...(q.ports[0]?.jobs.keys() ?? [])]).toEqual(['a']);
  q.ports[0]?.jobs.get('a')?.take('A');
  expect(await a.answer).toBe('A');
  q.ports[0]?.jobs.get('b')?.take('B');
  expect(await b.answer).toBe('B');
  expect(q.ports).toHaveLength(1);
});

test('the one that is stopped ends, with what carries it; those that wait go on elsewhere', async () => {
  const q = byHand();
  const [a, b, c] = [q.askFor('a'), q.askFor('b'), q.askFor('c')];
  const [goneA, goneB] = [why(a.answer), why(b.answer)];
  b.stop();
  expect(await goneB).toMatchObject({ why: 'stopped' });
  expect(q.ports[0]?.ended).toBe(false);
  a.stop();
  expect(await goneA).toBeInstanceOf(NotWanted);
  expect(q.ports.map((p) => p.ended)).toEqual([true, false]);
  q.ports[1]?.jobs.get('c')?.take('C');
  expect(await c.answer).toBe('C');
});

test('an answer that comes after its job was ended is nobody’s, and ends no other', async () => {
  const q = byHand();
  const a = q.askFor('a');
  const gone = why(a.answer);
  a.stop();
  const b = q.askFor('b');
  q.ports[0]?.jobs.get('a')?.hear('late word');
  q.ports[0]?.jobs.get('a')?.take('late');
  await turn();
  expect(await gone).toMatchObject({ why: 'stopped' });
  expect(q.heard).toEqual([]);
  q.ports[1]?.jobs.get('b')?.take('B');
  expect(await b.answer).toBe('B');
});

test('one that breaks takes its own job with it, and no more', async () => {
  const q = byHand();
  const [a, b] = [q.askFor('a'), q.askFor('b')];
  const gone = why(a.answer);
  q.ports[0]?.broken(new Error('out of memory'));
  expect(await gone).toMatchObject({ message: 'out of memory' });
  q.ports[1]?.jobs.get('b')?.refuse(new Error('no such cover'));
  expect(await why(b.answer)).toMatchObject({ message: 'no such cover' });
  // A job that fails leaves its worker whole.
  expect(q.ports[1]?.ended).toBe(false);
});

test('one that says nothing is given up; a word in between keeps it', async () => {
  jest.useFakeTimers();
  try {
    const q = byHand('nothing', 1000);
    const a = q.askFor('a');
    const gone = why(a.answer);
    jest.advanceTimersByTime(900);
    q.ports[0]?.jobs.get('a')?.hear('half');
    jest.advanceTimersByTime(900);
    expect(q.ports[0]?.ended).toBe(false);
    jest.advanceTimersByTime(200);
    expect(await gone).toMatchObject({ message: 'it took too long' });
    expect(q.heard).toEqual(['half']);
    expect(q.ports[0]?.ended).toBe(true);
  } finally {
    jest.useRealTimers();
  }
});

test.each(['nothing', 'told', 'ended'] as const)(
  'what nobody waits for is not begun; begun, it is left as its kind asks: %s',
  async (how) => {
    const q = byHand(how);
    const [a, b] = [q.askFor('a'), q.askFor('b')];
    const [gone, dropped] = [why(a.answer), why(b.answer)];
    b.leave();
    expect(await dropped).toMatchObject({ why: 'left' });
    a.leave();
    expect(q.ports[0]).toMatchObject({ left: how === 'told', ended: how === 'ended' });
    // One that is told ends itself, and its worker is there for the next; one that is not comes to its own end.
    if (how === 'told') q.ports[0]?.jobs.get('a')?.refuse(new Error('nobody waits for it'));
    else q.ports[0]?.jobs.get('a')?.take('A');
    expect(await gone).toEqual(how === 'nothing' ? 'answered' : expect.objectContaining({ why: 'left' }));
    const c = q.askFor('c');
    q.ports.at(-1)?.jobs.get('c')?.take('C');
    expect(await c.answer).toBe('C');
    expect(q.ports).toHaveLength(how === 'ended' ? 2 : 1);
  },
);
