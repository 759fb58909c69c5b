import type { KeyboardCoordinateGetter } from '@dnd-kit/core';

/** px that two bars differ in height at least. */
const step = 4;

/** Up and down carry a lifted piece from bar to bar. */
export const barKeys: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  if (event.code !== 'ArrowDown' && event.code !== 'ArrowUp') return undefined;
  event.preventDefault();
  const { droppableRects, droppableContainers, collisionRect } = context;
  const now = collisionRect?.top ?? currentCoordinates.y;
  const rows = droppableContainers
    .getEnabled()
    .flatMap(({ id }) => droppableRects.get(id) ?? [])
    .sort((a, b) => a.top - b.top);
  const next =
    event.code === 'ArrowDown'
      ? rows.find(({ top }) => top > now + step)
      : rows.reverse().find(({ top }) => top < now - step);
  return next && { x: next.left + step, y: next.top };
};
