import type { Remote } from 'comlink';
import { type WorkerCalls, workerCalls } from './remote';

/** Thrown by work that is no longer wanted. */
export class NotWanted extends Error {
  override readonly name = 'NotWanted';
}

type Work<T, R> = (remote: Remote<T>) => Promise<R>;

interface Waiting<T> {
  work: Work<T, unknown>;
  take(value: unknown): void;
  fail(error: unknown): void;
  signal: AbortSignal | undefined;
}

interface Seat<T> {
  calls: WorkerCalls<T>;
  doing: Waiting<T> | undefined;
}

/** Workers that share a queue. */
export interface WorkerPool<T> {
  /**
   * Asks for something of the first worker that is free; the first asked comes first. Rejects with NotWanted where the signal says so before
   * it is done, and with what the work throws. A worker that dies is begun again.
   */
  call<R>(work: Work<T, R>, signal?: AbortSignal): Promise<R>;
}

/**
 * @param size workers at the most; each is begun when all others are busy
 */
export function workerPool<T>(make: () => Worker, size: number): WorkerPool<T> {
  const seats: Seat<T>[] = Array.from({ length: size }, () => ({ calls: workerCalls<T>(make), doing: undefined }));
  let queue: Waiting<T>[] = [];
  const begin = () => {
    for (const seat of seats) {
      if (seat.doing) continue;
      const next = queue.shift();
      if (!next) return;
      seat.doing = next;
      const free = () => {
        if (seat.doing !== next) return;
        seat.doing = undefined;
        begin();
      };
      seat.calls.call(next.work).then(next.take, next.fail).finally(free);
    }
  };
  /** Takes it out of the queue, or ends its worker where another one waits for that. */
  const drop = (waiting: Waiting<T>) => {
    waiting.fail(new NotWanted());
    queue = queue.filter((one) => one !== waiting);
    const seat = seats.find(({ doing }) => doing === waiting);
    if (!seat || queue.length === 0) return;
    seat.calls.end();
    seat.doing = undefined;
    begin();
  };
  return {
    call: <R>(work: Work<T, R>, signal?: AbortSignal) =>
      new Promise<R>((resolve, reject) => {
        const waiting: Waiting<T> = { work, take: (value) => resolve(value as R), fail: reject, signal };
        if (signal?.aborted) {
          reject(new NotWanted());
          return;
        }
        signal?.addEventListener('abort', () => drop(waiting), { once: true });
        queue.push(waiting);
        begin();
      }),
  };
}
