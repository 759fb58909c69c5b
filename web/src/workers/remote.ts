import { type Remote, wrap } from 'comlink';

/** Thrown where a worker could not be loaded or ended by itself, twice. */
export class WorkerDied extends Error {
  override readonly name = 'WorkerDied';
  constructor() {
    super('What works this out in the background does not run. Load the page again; what is set is kept.');
  }
}

/** A worker that is begun when it is first asked for something, and again when it has died. */
export interface WorkerCalls<T> {
  /** Asks for something: once more of a new worker where the first dies over it. Rejects with WorkerDied where that dies too. */
  call<R>(work: (remote: Remote<T>) => Promise<R>): Promise<R>;
  /** Ends it at once, with what is under way; the next call begins another. */
  end(): void;
}

export function workerCalls<T>(make: () => Worker): WorkerCalls<T> {
  let alive: { worker: Worker; remote: Remote<T>; died: Promise<never> } | undefined;
  const begin = () => {
    const worker = make();
    const died = new Promise<never>((_, reject) => {
      const die = () => {
        worker.terminate();
        if (alive?.worker === worker) alive = undefined;
        reject(new WorkerDied());
      };
      worker.addEventListener('error', die);
      worker.addEventListener('messageerror', die);
    });
    // Nobody may be waiting when it dies.
    died.catch(() => {});
    alive = { worker, remote: wrap<T>(worker), died };
    return alive;
  };
  return {
    call: async (work) => {
      for (let tries = 0; ; tries += 1) {
        const { remote, died } = alive ?? begin();
        try {
          return await Promise.race([work(remote), died]);
        } catch (error) {
          if (!(error instanceof WorkerDied) || tries > 0) throw error;
        }
      }
    },
    end: () => {
      alive?.worker.terminate();
      alive = undefined;
    },
  };
}
