/** A worker that answers calls: started when it is first asked, ended when it breaks, is stopped or says nothing for long. */
import { type Remote, wrap } from 'comlink';

/** Longest that a call may go on without a word, ms: an answer, or how far it is. */
const SILENCE_MS = 30_000;

/** A worker and its calls. */
interface RemoteWork<S> {
  /**
   * Asks; refused when the worker breaks, is stopped or says nothing, which the worker itself cannot say.
   * @param of is given the worker, and what to call whenever there is a sign of life
   */
  readonly ask: <T>(of: (service: Remote<S>, alive: () => void) => Promise<T>) => Promise<T>;
  /** Ends all work; the next call starts afresh. */
  readonly stop: (why?: string) => void;
}

/** After the page is drawn next: a worker that starts takes half of the machine from the first drawing. */
const afterDrawing = (): Promise<void> =>
  new Promise((go) => {
    // A page that is not looked at is not drawn.
    setTimeout(go, 300);
    requestAnimationFrame(() => setTimeout(go));
  });

/** @param start starts the worker; @param ended is told when it is gone, with all that was sent to it */
export function remoteWork<S>(start: () => Worker, ended: () => void = () => undefined): RemoteWork<S> {
  let worker: Worker | undefined;
  let remote: Remote<S> | undefined;
  let started: Promise<void> | undefined;
  /** Calls without an answer yet: what to tell each when there will be none. */
  const waiting = new Set<(why: Error) => void>();

  const stop = (why = 'it was stopped'): void => {
    worker?.terminate();
    worker = undefined;
    remote = undefined;
    started = undefined;
    ended();
    waiting.forEach((refuse) => refuse(new Error(why)));
    waiting.clear();
  };
  const service = (): Remote<S> => {
    if (!remote) {
      worker = start();
      worker.onerror = () => stop('its part of Cabanon did not start, or broke');
      worker.onmessageerror = () => stop('its answer could not be read');
      remote = wrap<S>(worker);
    }
    return remote;
  };
  return {
    stop,
    ask: (of) =>
      new Promise((take, refuse) => {
        let timer: ReturnType<typeof setTimeout> | undefined;
        const alive = (): void => {
          clearTimeout(timer);
          timer = setTimeout(() => stop('it took too long'), SILENCE_MS);
        };
        const end = (): void => {
          clearTimeout(timer);
          waiting.delete(refuse);
        };
        waiting.add(refuse);
        alive();
        started ??= afterDrawing();
        started
          .then(() => of(service(), alive))
          .then(take, refuse)
          .finally(end);
      }),
  };
}
