import { useEffect, useState } from 'react';

/**
 * Gives the focus back to what had it before this came up, once it is gone and nothing else has taken it. What had it may have been
 * drawn anew meanwhile: then its namesake gets it.
 */
export function useReturnFocus(): void {
  const [before] = useState(() => {
    const element = document.activeElement;
    return element instanceof HTMLElement || element instanceof SVGElement
      ? { element, find: namesake(element) }
      : undefined;
  });
  useEffect(
    () => () => {
      window.setTimeout(() => {
        const { activeElement } = document;
        if (!before || (activeElement && activeElement !== document.body)) return;
        const back = before.element.isConnected ? before.element : before.find();
        back?.focus({ preventScroll: true });
      });
    },
    [before],
  );
}

/** How an element is found again when it has been drawn anew: by id, by the dimension it sets, or by its name. */
export function namesake(element: Element): () => HTMLElement | SVGElement | undefined {
  const dimension = element.getAttribute('data-dimension');
  const label = element.getAttribute('aria-label');
  const selector = element.id
    ? `#${CSS.escape(element.id)}`
    : dimension
      ? `[data-dimension="${CSS.escape(dimension)}"]`
      : label
        ? `${element.tagName.toLowerCase()}[aria-label="${CSS.escape(label)}"]`
        : undefined;
  return () => (selector ? (document.querySelector<HTMLElement | SVGElement>(selector) ?? undefined) : undefined);
}
