import { errorWords } from '@north-pane/core/care';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { beginWork } from '../state/busy';
import type { Heavy } from './heavy';
import { workerCalls } from './remote';

const heavy = workerCalls<Heavy>(() => new Worker(new URL('./heavy.worker.ts', import.meta.url), { type: 'module' }));

/** ms of quiet before what has changed is worked out again. */
const quiet = 120;

/**
 * Something worked out in the worker: at once when it is first asked for, and again whenever `key` changes, after a moment of quiet. The last answer stays up
 * while the next is worked out; `fresh` says whether it is for this key.
 */
export function useHeavy<T>(
  key: string,
  work: (heavy: Remote<Heavy>) => Promise<T>,
): { value: T | undefined; fresh: boolean; trouble?: string } {
  const [state, setState] = useState<{ key: string; value: T | undefined; trouble?: string } | undefined>(undefined);
  const begun = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for everything that the work reads
  useEffect(() => {
    let wanted = true;
    const ended = beginWork();
    const wait = window.setTimeout(
      async () => {
        try {
          const value = await heavy.call(work);
          if (wanted) setState({ key, value });
        } catch (error) {
          // What cannot be worked out is told where it would stand; nothing else waits for it.
          const trouble = errorWords(error);
          if (wanted) setState({ key, value: undefined, trouble });
        }
        ended();
      },
      begun.current ? quiet : 0,
    );
    begun.current = true;
    return () => {
      wanted = false;
      ended();
      window.clearTimeout(wait);
    };
  }, [key]);
  const { trouble } = state ?? {};
  return { value: state?.value, fresh: state?.key === key, ...(trouble === undefined ? {} : { trouble }) };
}
