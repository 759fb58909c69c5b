import { useEffect } from 'react';
import { useLatest } from './useLatest';

/**
 * Has the Back of the browser or phone close a dialog, and not leave the page under it: the dialog is an entry of the history for as long as
 * it is open.
 */
export function useBackCloses(onClose: (() => void) | undefined): void {
  const close = useLatest(onClose);
  const closes = onClose !== undefined;
  useEffect(() => {
    if (!closes) return undefined;
    const mark = crypto.randomUUID();
    const isHere = () => (window.history.state as { dialog?: string } | null)?.dialog === mark;
    window.history.pushState({ ...(window.history.state as object | null), dialog: mark }, '');
    const onPop = () => {
      if (!isHere()) close.current?.();
    };
    window.addEventListener('popstate', onPop);
    return () => {
      window.removeEventListener('popstate', onPop);
      // Closed by its own buttons: its entry goes, unless somebody has gone on from it.
      window.setTimeout(() => {
        if (isHere()) window.history.back();
      });
    };
  }, [closes]);
}
