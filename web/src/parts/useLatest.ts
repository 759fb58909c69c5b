import { type RefObject, useInsertionEffect, useRef } from 'react';

/** The newest value that was drawn, for handlers that are registered once: of a drag, a key, the history. Not to be read while rendering. */
export function useLatest<T>(value: T): Readonly<RefObject<T>> {
  const latest = useRef(value);
  useInsertionEffect(() => {
    latest.current = value;
  });
  return latest;
}
