import { proxy, type Remote } from 'comlink';
import { beginWork } from '../state/busy';
import type { CutWork } from './cut.worker';
import { workerCalls } from './remote';

/** A piece of work under way. `stop` ends its worker at once; then `done` never settles. */
export interface Work<T> {
  done: Promise<T>;
  stop(): void;
}

/** Makes a callback that the worker may call. What it says after its work is done is not heard: it comes by a way of its own. */
export type Tell = <T>(hear: (said: T) => void) => (said: T) => void;

/**
 * A line of work with a worker of its own: a solve blocks its worker, so work that is no longer wanted is ended with it, and the
 * next piece gets a new one.
 */
export function workLine(): <T>(run: (cut: Remote<CutWork>, tell: Tell) => Promise<T>) => Work<T> {
  const calls = workerCalls<CutWork>(() => new Worker(new URL('./cut.worker.ts', import.meta.url), { type: 'module' }));
  return (run) => {
    let over = false;
    const ended = beginWork();
    const tell: Tell = (hear) =>
      proxy((said) => {
        if (!over) hear(said);
      });
    const done = calls
      .call((remote) => run(remote, tell))
      .finally(() => {
        over = true;
        ended();
      });
    return {
      done,
      stop: () => {
        if (over) return;
        over = true;
        ended();
        calls.end();
      },
    };
  };
}
