/** The two workers: one for what follows the hand, one for what takes long. */
import { type Remote, proxy, wrap } from 'comlink';
import { changesBetween } from '../../core/garden/difference';
import type { Garden } from '../../core/garden/garden';
import type { JobKind } from './jobs';
import type { JobService } from './jobs.worker';
import type { JobCall, Workforce } from './jobsApi';
import { type Port, workQueue } from './queue';

/** Longest that a job may go on without a word, ms: an answer, or how far it is. */
const SILENCE_MS = 30_000;

/**
 * What takes many seconds, and must not hold up a price, a cut or a bent hoop; and what is done with it when nobody waits for it:
 * a search looks up in between and ends by itself; what does not is ended with its worker.
 */
const LONG: Partial<Record<JobKind, 'told' | 'ended'>> = {
  find: 'told',
  costs: 'told',
  winters: 'ended',
  together: 'ended',
};

/** After the page is drawn next: a worker that starts takes half of the machine from the first drawing. */
const afterDrawing = (): Promise<void> =>
  new Promise((go) => {
    // A page that is not looked at is not drawn.
    setTimeout(go, 300);
    requestAnimationFrame(() => setTimeout(go));
  });

let heard = (): void => undefined;
/** What is done whenever a worker does not start, or breaks. */
export const whenBroken = (does: () => void): void => void (heard = does);

function start(broken: (why: Error) => void): Port<JobCall> {
  let ended = false;
  let worker: Worker | undefined;
  const started = afterDrawing().then((): Remote<JobService> => {
    if (ended) throw new Error('it was stopped');
    worker = new Worker(new URL('./jobs.worker.ts', import.meta.url), { type: 'module' });
    worker.onerror = () => {
      broken(new Error('its part of Cabanon did not start, or broke'));
      heard();
    };
    worker.onmessageerror = () => broken(new Error('its answer could not be read'));
    return wrap<JobService>(worker);
  });
  // Who asks says what is wrong with it.
  started.catch(() => undefined);
  // What the worker has: only what is new of a garden is sent.
  let garden: Garden | undefined;
  let weather: JobCall['weather'];
  return {
    leave: () => void started.then((service) => service.leave()).catch(() => undefined),
    end: () => {
      ended = true;
      worker?.terminate();
    },
    run: async (job, hear) => {
      const service = await started;
      // Messages arrive in order: the question need not wait for the answer to what goes ahead of it.
      const ahead: Promise<void>[] = [];
      if (garden !== job.garden)
        ahead.push(garden ? service.change(changesBetween(garden, job.garden)) : service.open(job.garden));
      if (job.weather && weather !== job.weather) ahead.push(service.sky(job.weather));
      garden = job.garden;
      weather = job.weather ?? weather;
      const [answer] = await Promise.all([service.run(job.kind, job.version, job.input, proxy(hear)), ...ahead]);
      return answer;
    },
  };
}

const lane = () =>
  workQueue<JobCall>({ start, silenceMs: SILENCE_MS, whenLeft: ({ kind }) => LONG[kind] ?? 'nothing' });
const [quick, long] = [lane(), lane()];

/** Asks for a job where jobs of its kind are done. */
export const begin: Workforce['begin'] = (job, hear) => (LONG[job.kind] ? long : quick).ask(job, hear);

/** Starts the quick worker before it is needed. */
export const warmUp = quick.warm;
