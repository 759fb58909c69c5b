import { errorWords } from '@north-pane/core/care';
import { keepPreviousData, type UseQueryResult, useQueries, useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { useEffect } from 'react';
import { beginWork } from '../state/busy';
import type { Heavy } from './heavy';
import { workerPool } from './pool';

/** One core is left to the page. */
const size = Math.max(1, Math.min(3, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1));

const heavy = workerPool<Heavy>(
  () => new Worker(new URL('./heavy.worker.ts', import.meta.url), { type: 'module' }),
  size,
);

/** ms of quiet before what has changed is worked out again. */
const quiet = 120;
/** ms for which what nobody looks at any more is kept: whoever undoes, or comes back, has it at once. */
const kept = 300_000;

/** What was worked out, and whether it is for the document as it stands. */
export interface Worked<T> {
  value: T | undefined;
  fresh: boolean;
  /** Why it cannot be worked out. */
  trouble?: string;
}

type Ask<T> = (heavy: Remote<Heavy>) => Promise<T>;

/** Names of works that were asked for once: the first answer is wanted at once, a further one after a moment of quiet. */
const asked = new Set<string>();

function pause(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      resolve();
    });
  });
}

/** A query about something that workers find out. A document never changes: what was found for a key holds for good. */
function workQuery<T>(name: string, key: string, ask: Ask<T>) {
  return {
    queryKey: ['work', name, key],
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: kept,
    retry: false,
    // It is worked out here, whatever the network does.
    networkMode: 'always' as const,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }: { signal: AbortSignal }) => {
      if (asked.has(name)) await pause(quiet, signal);
      asked.add(name);
      // Wrapped: nothing is an answer too.
      return { value: await heavy.call(ask, signal) };
    },
  };
}

function workedOf<T>({ data, error, isPlaceholderData, isFetching }: UseQueryResult<{ value: T }>): Worked<T> {
  const fresh = !isPlaceholderData && !isFetching && (data !== undefined || error !== null);
  return { value: error ? undefined : data?.value, fresh, ...(error ? { trouble: errorWords(error) } : {}) };
}

function useBusyWhile(busy: boolean): void {
  useEffect(() => (busy ? beginWork() : undefined), [busy]);
}

/**
 * Something worked out in a worker: at once when it is first asked for, and again whenever `key` changes, after a moment of quiet; what is
 * no longer wanted is dropped. The last answer stays up while the next is worked out.
 *
 * @param name of the kind of work
 * @param key all that it depends on: `resultKey` of the document, with what else is asked
 */
export function useWork<T>(name: string, key: string, ask: Ask<T>): Worked<T> {
  const found = useQuery(workQuery(name, key, ask));
  useBusyWhile(found.isFetching);
  return workedOf(found);
}

/** Several of a kind, each as soon as it is there. */
export function useWorks<T>(name: string, key: string, parts: readonly { id: string; ask: Ask<T> }[]): Worked<T>[] {
  const found = useQueries({ queries: parts.map(({ id, ask }) => workQuery(`${name} ${id}`, key, ask)) });
  useBusyWhile(found.some(({ isFetching }) => isFetching));
  return found.map((one) => workedOf(one));
}
