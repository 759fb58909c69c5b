import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useLatest } from './useLatest';

/** What was made of something typed: taken, or why not and at which character. */
export type Taken = { ok: true } | { ok: false; message: string; at?: number };

interface Typed {
  /** What stands in the field: what is typed, or what is there. */
  text: string;
  trouble: string | undefined;
  /** Whether something is typed that is not what is there. */
  open: boolean;
  type(text: string): void;
  /** Reads what is typed; true where nothing is left to be read. The cursor goes to the character that is wrong while the field has the focus. */
  take(field: HTMLInputElement): boolean;
  drop(): void;
}

/**
 * Text of a field while it is typed. It is read when the field is left; a page that is closed, loaded again or gone back from is left too, so
 * what is sound is kept.
 *
 * @param shown what stands there while nothing is typed
 */
export function useTyped(shown: string, read: (text: string) => Taken): Typed {
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const open = typed !== undefined && typed !== shown;
  // What is typed and neither taken nor dropped: known at once, where the page is left before it is drawn again.
  const pending = useRef<string | undefined>(undefined);
  const leave = useLatest(() => {
    const text = pending.current;
    pending.current = undefined;
    if (text !== undefined && text !== shown) read(text);
  });
  useEffect(() => {
    const onHide = () => leave.current();
    window.addEventListener('pagehide', onHide);
    return () => window.removeEventListener('pagehide', onHide);
  }, []);
  // Before the job is closed, which is an effect that comes later.
  useLayoutEffect(() => () => leave.current(), []);

  const drop = () => {
    pending.current = undefined;
    setTyped(undefined);
    setTrouble(undefined);
  };
  return {
    text: typed ?? shown,
    trouble,
    open,
    type: (text) => {
      pending.current = text;
      setTyped(text);
    },
    take: (field) => {
      const taken = open ? read(typed) : ({ ok: true } as const);
      if (taken.ok) {
        drop();
        return true;
      }
      setTrouble(taken.message);
      if (taken.at !== undefined && window.document.activeElement === field)
        field.setSelectionRange(taken.at, field.value.length);
      return false;
    },
    drop,
  };
}
