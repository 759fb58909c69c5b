import { useEffect, useRef, useState } from 'react';
import type * as z from 'zod';
import { useJob } from './job';

/** What of this window outlives a station being left, and the page being loaded again: half-filled fields, the weather looked at. */
const prefix = 'north-pane-desk';

function read<S extends z.ZodType>(key: string, schema: S, first: z.infer<S>): z.infer<S> {
  try {
    const text = window.sessionStorage.getItem(key);
    const parsed = text === null ? undefined : schema.safeParse(JSON.parse(text));
    return parsed?.success ? parsed.data : first;
  } catch {
    // A store that is forbidden, or text that is none of ours: it begins anew.
    return first;
  }
}

/**
 * A value of a station, by job and name, found again as it was left in this window. Versions by another version of the program
 * and no longer fits its schema is passed over.
 */
export function useRemembered<S extends z.ZodType>(
  name: string,
  schema: S,
  first: z.infer<S>,
): [z.infer<S>, (next: z.infer<S>) => void] {
  const id = useJob((state) => state.id) ?? '';
  const key = `${prefix} ${id} ${name}`;
  const [held, setHeld] = useState(() => ({ key, value: read(key, schema, first) }));
  const start = useRef({ schema, first });
  useEffect(() => {
    // Another job has a desk of its own.
    setHeld((now) => (now.key === key ? now : { key, value: read(key, start.current.schema, start.current.first) }));
  }, [key]);
  const set = (value: z.infer<S>) => {
    setHeld({ key, value });
    try {
      window.sessionStorage.setItem(key, JSON.stringify(value));
    } catch {
      // Full or forbidden: it is remembered as long as the station is open.
    }
  };
  return [held.value, set];
}
