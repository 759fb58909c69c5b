import type { Job } from '../document';
import { pathSteps, withValueAt } from '../document';
import { heatConditions, type OpenJob, openJob } from '../job';
import { heatersState } from '../loop';
import { type Habit, nudgeLength } from '../quantity';
import type { Band } from './bands';

/** What one mark of the tape on a dimension does to the heat of its panel. */
export interface MarkWorth {
  /** Id of the dimension on the drawing, and its words. */
  id: string;
  label: string;
  /** m. Now, and a mark on in the better direction. */
  value: number;
  next: number;
  /** W of the panel. */
  perMark: number;
  /** W, all the way to the last value that the drawing allows without a new clash. */
  inAll: number;
  /** m. That last value. */
  last: number;
  /** Whether going all the way leaves the band of the panel's heat at all. */
  worth: boolean;
}

/** Steps by which the way to a limit is looked along for a clash. */
const looks = 8;

/**
 * Every editable dimension of a panel with what a mark more or less gains, best first. Sizes of the pane are left out: more
 * pane is more heat, and is no advice. A gain that drowns in half the panel's band even all the way is not worth a mark.
 *
 * @param band of the heat of one panel, W
 */
export function marksWorth(open: OpenJob, index: number, habit: Habit, band: Band): MarkWorth[] {
  const panel = open.panels[index];
  if (!panel) throw new RangeError(`no panel ${index}`);
  const { job } = open;
  const heatOf = (changed: Job): { heat: number; clashes: number; aperture: number } => {
    const again = openJob(changed, open.state);
    const design = again.panels[index]?.design ?? panel.design;
    const conditions = heatConditions(changed, again.groups, {});
    // What the heater really gets: its share of the flow, and its inlet where others stand before it.
    const at = heatersState(again.groups, changed.loop.connection, conditions).perGroup[index];
    return {
      heat: at?.state.usefulHeat ?? 0,
      clashes: design.findings.length,
      aperture: design.areas.aperture,
    };
  };
  const now = heatOf(job);
  const dimensions = ['plan', 'section'].flatMap((view) => panel.design.drawings[view]?.draw().dimensions ?? []);
  const half = (band.high - band.low) / 2;
  const rows = dimensions.flatMap((dimension): MarkWorth[] => {
    const { edit } = dimension;
    if (!edit) return [];
    const set = (value: number) =>
      withValueAt(job, pathSteps(`${panel.path}.${edit.path}`), value * edit.scale + edit.offset);
    const inside = (value: number) => value >= edit.low - 1e-9 && value <= edit.high + 1e-9;
    const ways = ([1, -1] as const)
      .map((way) => ({ way, next: nudgeLength(dimension.value, habit, way) }))
      .filter(({ next }) => inside(next))
      .map((one) => ({ ...one, ...heatOf(set(one.next)) }))
      .filter(({ clashes, aperture }) => clashes <= now.clashes && Math.abs(aperture - now.aperture) < 1e-9);
    const [best] = ways.sort((a, b) => b.heat - a.heat);
    if (!best || best.heat <= now.heat + 1e-6) return [];
    const limit = best.way > 0 ? edit.high : edit.low;
    let last = best.next;
    let inAll = best.heat - now.heat;
    for (let look = 1; look <= looks; look += 1) {
      const value = dimension.value + ((limit - dimension.value) * look) / looks;
      const there = heatOf(set(value));
      if (there.clashes > now.clashes) break;
      if (there.heat - now.heat <= inAll) continue;
      last = value;
      inAll = there.heat - now.heat;
    }
    const { id, label, value } = dimension;
    return [{ id, label, value, next: best.next, perMark: best.heat - now.heat, inAll, last, worth: inAll > half }];
  });
  return rows.sort((a, b) => b.perMark - a.perMark);
}
