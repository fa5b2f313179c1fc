/** The work of one worker: one job at a time, in the order they were asked for, each stopped by itself. */

/** What carries jobs out: a worker, once it is started. */
export interface Port<J> {
  readonly run: (job: J, hear: (progress: unknown) => void) => Promise<unknown>;
  /** Tells the job that runs that nobody waits for it: one that looks up in between ends itself, and what is known stays. */
  readonly leave: () => void;
  readonly end: () => void;
}

/** A job that was asked for. */
export interface Work {
  readonly answer: Promise<unknown>;
  /** Ends it, wherever it is; the others go on. */
  readonly stop: () => void;
  /** Nobody waits for it any more: it is not begun; where it has begun, it is left as its kind asks. */
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
  left: boolean;
}

interface QueueOptions<J> {
  /** Starts what carries jobs out; it says there when it breaks. */
  readonly start: (broken: (why: Error) => void) => Port<J>;
  /** Longest that a job may go on without a sign of life, ms. */
  readonly silenceMs: number;
  /** What is done with a job that runs when nobody waits for it: nothing, it is told, or it is ended with what carries it. */
  readonly whenLeft: (job: J) => 'nothing' | 'told' | 'ended';
}

/** @returns asks for a job; and starts what carries jobs out before the first is asked for */
export function workQueue<J>({ start, silenceMs, whenLeft }: QueueOptions<J>): {
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
        (why: unknown) => settle(task, (t) => t.refuse(t.left ? new NotWanted('left') : why)),
      );
  }

  return {
    warm: () => void begin(),
    ask: (job, hear) => {
      let task: Task<J> | undefined;
      const answer = new Promise((take, refuse) => {
        task = { job, hear, take, refuse, left: false };
        waiting.push(task);
      });
      next();
      /** Takes it from those that wait; false where it runs, or is over. */
      const withdrawn = (why: NotWanted): boolean => {
        const at = waiting.findIndex((t) => t === task);
        if (at < 0) return false;
        waiting.splice(at, 1).forEach((t) => t.refuse(why));
        return true;
      };
      return {
        answer,
        stop: () => {
          const why = new NotWanted('stopped');
          if (!withdrawn(why) && task === running) endRunning(why);
        },
        leave: () => {
          const why = new NotWanted('left');
          if (withdrawn(why) || !task || task !== running) return;
          const how = whenLeft(job);
          if (how === 'ended') endRunning(why);
          else if (how === 'told') {
            task.left = true;
            port?.leave();
          }
        },
      };
    },
  };
}
