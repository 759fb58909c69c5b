import { formatLength, type Habit } from '../quantity';
import type { Part } from '../shop';

/** The size of a piece in words: its length, or height by width; to a tenth where the errors of a row add up. */
export function sizeOf(part: Part, habit: Habit): string {
  const fine = part.row ? ({ decimals: 1, fraction: 64 } as const) : {};
  const say = (value: number) => formatLength(value, habit, { inchesOnly: value < 1, ...fine }).text;
  return part.kind === 'length' ? say(part.length) : `${say(part.height)} × ${say(part.width)}`;
}
