import { useEffect } from 'react';
import type { FieldValues, UseFormSubscribe } from 'react-hook-form';
import { useLatest } from '../../parts/useLatest';

/** Has what is typed in a form remembered with every change of it. */
export function useRememberForm<T extends FieldValues>(
  subscribe: UseFormSubscribe<T>,
  remember: (values: T) => void,
): void {
  const latest = useLatest(remember);
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => latest.current(values) }),
    [subscribe],
  );
}
