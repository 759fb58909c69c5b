import { type RefObject, useEffect, useLayoutEffect, useRef } from 'react';
import { namesake } from '../parts/useReturnFocus';

interface Left {
  /** px, by which scrolling part: the station itself, or one that says so by `data-scrolls`. */
  scroll: Map<string, number>;
  /** Finds what had the focus. */
  focus: (() => HTMLElement | SVGElement | undefined) | undefined;
}

/** How each station of each job was left: in this window only. */
const left = new Map<string, Left>();
/** Every station is new again. */
export const forgetStations = (): void => left.clear();
/** ms after which a station is taken to have grown to where it was scrolled; and how often it is waited for that long when it has not. */
const patience = 1500;
const mostWaits = 20;

function partsOf(main: HTMLElement): Map<string, HTMLElement> {
  const parts = new Map<string, HTMLElement>([['main', main]]);
  for (const part of main.querySelectorAll<HTMLElement>('[data-scrolls]')) parts.set(part.dataset.scrolls ?? '', part);
  return parts;
}

/**
 * Leaves every station as it was: scrolled to where it was, with the focus on what had it. A station that is new begins at its top, with
 * the focus on itself when it was come to by a key.
 *
 * @param place job and station
 */
export function useStationMemory(main: RefObject<HTMLElement | null>, place: string): void {
  const before = useRef(place);
  useLayoutEffect(() => {
    const element = main.current;
    if (!element) return undefined;
    const known = left.get(place) ?? { scroll: new Map<string, number>(), focus: undefined };
    left.set(place, known);
    const restore = (): boolean => {
      let reached = true;
      for (const [name, part] of partsOf(element)) {
        const wanted = known.scroll.get(name) ?? 0;
        if (part.scrollTop !== wanted) part.scrollTop = wanted;
        // Half a pixel: what is scrolled lies on pixels of the screen.
        if (Math.abs(part.scrollTop - wanted) > 0.5) reached = false;
      }
      return reached;
    };
    restore();
    // Nothing to come back to: it is at its top, and wherever it is scrolled from now on is where it was left.
    let over = [...known.scroll.values()].every((wanted) => wanted === 0);
    // What is drawn later makes the station longer: it is followed until somebody scrolls by hand.
    const grown = new MutationObserver(() => !over && restore());
    if (!over) grown.observe(element, { childList: true, subtree: true });
    const rest = () => {
      over = true;
      grown.disconnect();
    };
    let waits = 0;
    const look = () => {
      waits += 1;
      if (over || waits >= mostWaits || restore()) rest();
      else wait = window.setTimeout(look, patience);
    };
    let wait = over ? 0 : window.setTimeout(look, patience);
    const remember = ({ target }: Event) => {
      if (!over || !(target instanceof HTMLElement)) return;
      const name = target === element ? 'main' : target.dataset.scrolls;
      if (name !== undefined) known.scroll.set(name, target.scrollTop);
    };
    element.addEventListener('scroll', remember, true);
    for (const kind of ['wheel', 'touchstart', 'pointerdown', 'keydown'] as const)
      element.addEventListener(kind, rest, true);
    const focused = ({ target }: FocusEvent) => {
      if (target instanceof Element && target !== element) known.focus = namesake(target);
    };
    element.addEventListener('focusin', focused);
    return () => {
      rest();
      window.clearTimeout(wait);
      element.removeEventListener('scroll', remember, true);
      for (const kind of ['wheel', 'touchstart', 'pointerdown', 'keydown'] as const)
        element.removeEventListener(kind, rest, true);
      element.removeEventListener('focusin', focused);
    };
  }, [main, place]);
  useEffect(() => {
    const element = main.current;
    if (before.current === place) return undefined;
    before.current = place;
    const wait = window.setTimeout(() => {
      if (document.activeElement && document.activeElement !== document.body) return;
      (left.get(place)?.focus?.() ?? element)?.focus({ preventScroll: true });
    }, 60);
    return () => window.clearTimeout(wait);
  }, [main, place]);
}
