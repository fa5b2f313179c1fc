/** The work of one worker: one job at a time, in the order they were asked for, each stopped by itself. */

/** What carries jobs out: a worker, once it is started. */
export interface Port<J> {
  readonly run: (job: J, hear: (progress: unknown) => void) => Promise<unknown>;
  readonly end: () => void;
}

/** A job that was asked for. */
export interface Work {
  readonly answer: Promise<unknown>;
  /** Ends it, wherever it is; the others go on. */
  readonly stop: () => void;
  /** Nobody waits for it any more: it is not begun; where it has begun, it is ended only if it is said to be long. */
  readonly leave: () => void;
}

/** Why there is no answer: the gardener stopped it, or nobody waited for it. */
export class NotWanted extends Error {
  constructor(readonly why: 'stopped' | 'left') {
    super(why === 'stopped' ? 'it was stopped' : 'nobody waited for it');
  }
}

interface Task<J> {
  readonly job: J;
  readonly hear: (progress: unknown) => void;
  readonly take: (answer: unknown) => void;
  readonly refuse: (why: unknown) => void;
}

interface QueueOptions<J> {
  /** Starts what carries jobs out; it says there when it breaks. */
  readonly start: (broken: (why: Error) => void) => Port<J>;
  /** Longest that a job may go on without a sign of life, ms. */
  readonly silenceMs: number;
  /** Whether its jobs are ended where nobody waits for them, and not left to come to their own end. */
  readonly long: boolean;
}

/** @returns asks for a job; and starts what carries jobs out before the first is asked for */
export function workQueue<J>({ start, silenceMs, long }: QueueOptions<J>): {
  readonly ask: (job: J, hear: (progress: unknown) => void) => Work;
  readonly warm: () => void;
} {
  const waiting: Task<J>[] = [];
  let running: Task<J> | undefined;
  let port: Port<J> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;

  const begin = (): Port<J> => (port ??= start(endRunning));
  /** Ends the job that runs, with all that carries it out; the next one starts afresh. */
  function endRunning(why: unknown): void {
    port?.end();
    port = undefined;
    settle(running, (task) => task.refuse(why));
  }
  function settle(task: Task<J> | undefined, how: (task: Task<J>) => void): void {
    // An answer that comes after its job was ended is nobody's.
    if (!task || task !== running) return;
    clearTimeout(silence);
    running = undefined;
    how(task);
    next();
  }
  const alive = (): void => {
    clearTimeout(silence);
    silence = setTimeout(() => endRunning(new Error('it took too long')), silenceMs);
  };
  function next(): void {
    if (running) return;
    const task = waiting.shift();
    if (!task) return;
    running = task;
    alive();
    const hear = (progress: unknown): void => {
      if (task !== running) return;
      alive();
      task.hear(progress);
    };
    begin()
      .run(task.job, hear)
      .then(
        (answer) => settle(task, (t) => t.take(answer)),
        (why: unknown) => settle(task, (t) => t.refuse(why)),
      );
  }

  return {
    warm: () => void begin(),
    ask: (job, hear) => {
      let task: Task<J> | undefined;
      const answer = new Promise((take, refuse) => {
        task = { job, hear, take, refuse };
        waiting.push(task);
      });
      next();
      const drop = (why: NotWanted, whileRunning: boolean): void => {
        const at = waiting.findIndex((t) => t === task);
        if (at >= 0) waiting.splice(at, 1).forEach((t) => t.refuse(why));
        else if (whileRunning && task === running) endRunning(why);
      };
      return {
        answer,
        stop: () => drop(new NotWanted('stopped'), true),
        leave: () => drop(new NotWanted('left'), long),
      };
    },
  };
}
