import { useSyncExternalStore } from 'react';

/** Below it the page is laid out for a phone: the theme's `md`. */
export const phone = '(max-width: 47.99em)';

function subscribe(changed: () => void): () => void {
  const query = window.matchMedia(phone);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Whether the page is as narrow as a phone's. */
export function usePhone(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(phone).matches);
}
