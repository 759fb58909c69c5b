import { drag, select } from 'd3';
import type { RefCallback } from 'react';
import { useLatest } from '../parts/useLatest';

/** Where the pointer is, in px of the SVG's parent of the dragged element. */
export interface Pulled {
  x: number;
  y: number;
}

interface DragActions {
  onBegin?(at: Pulled): void;
  onMove(at: Pulled, from: Pulled): void;
  onEnd?(): void;
}

/**
 * Lets an element of a drawing be dragged, from whenever it is drawn: a drawing waits for its size. The actions may change
 * between renders; the drag that is under way goes on with the newest.
 */
export function useDrag<E extends Element>(actions: DragActions): RefCallback<E> {
  const latest = useLatest(actions);
  return (element: E | null) => {
    if (!element) return undefined;
    let from: Pulled = { x: 0, y: 0 };
    const pull = drag<E, unknown>()
      .on('start', ({ x, y }: Pulled) => {
        from = { x, y };
        latest.current.onBegin?.(from);
      })
      .on('drag', ({ x, y }: Pulled) => latest.current.onMove({ x, y }, from))
      .on('end', () => latest.current.onEnd?.());
    select(element).call(pull);
    return () => {
      select(element).on('.drag', null);
    };
  };
}
