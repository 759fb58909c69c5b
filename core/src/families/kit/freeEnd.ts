import type { Part } from '../../shop';

/** What a piece forgives whose end stands free: nothing is fitted to it. m shorter and longer, and why, in words. */
export function freeEnd(words: string, { short, long }: { short: number; long: number }): Pick<Part, 'slack'> {
  return { slack: { short, long, words } };
}

/** Of bearers, rails, stiles and skids whose ends lie in the open: a screw near the end keeps its wood. Judgement. */
export const openEnds = freeEnd('its ends lie free: nothing is fitted to them', { short: 0.005, long: 0.01 });
