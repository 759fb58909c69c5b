import type { Dimension, Drawing, Edit } from '@north-pane/core/draw';
import { type PanelDesign, type View, views } from '@north-pane/core/families';
import type { PanelFigures } from '@north-pane/core/figures';
import { fieldValue, sayBound } from '@north-pane/core/job';
import type { Habit } from '@north-pane/core/quantity';
import { create } from 'zustand';
import { useDerived } from '../../state/derived';
import { useJob } from '../../state/job';

/** What of the bench is in hand: a matter of the eye, not of the job. */
interface BenchView {
  /** Job that it is the view of. */
  job: string | undefined;
  index: number;
  /** Id of the dimension in hand. */
  chosen: string;
  typing: boolean;
  /** Label of the readout that shows its derivations. */
  opened: string | undefined;
  /** The plan shows how warm the plate is. */
  shaded: boolean;
  /** What stands under the plan. */
  under: 'section' | 'side' | 'detail' | 'bent';
}

const start: BenchView = {
  job: undefined,
  index: 0,
  chosen: 'pitch',
  typing: false,
  opened: undefined,
  shaded: false,
  under: 'section',
};
export const useBenchView = create<BenchView>()(() => start);
const set = useBenchView.setState;

/** Another job begins with a bench of its own; the same one is found as it was left. */
export function benchFor(job: string | undefined): void {
  if (useBenchView.getState().job !== job) set({ ...start, job });
}
/** The first touch takes a dimension in hand, the second opens it for typing. */
export function chooseDimension(dimension: Dimension): void {
  set(({ chosen }) => ({ typing: dimension.id === chosen, chosen: dimension.id }));
}
/** Whether the dimension in hand stands on a drawing that is shown now. */
export function isShown(drawings: Drawings, dimension: Dimension, under: BenchView['under']): boolean {
  const shown: readonly View[] = ['plan', ...(under === 'section' || under === 'detail' ? [under] : [])];
  return shown.some((view) => drawings[view].dimensions.includes(dimension));
}
export function takeDimension(id: string): void {
  set({ typing: false, chosen: id });
}
export function toggleReadout(label: string): void {
  set(({ opened }) => ({ opened: opened === label ? undefined : label }));
}
export function setTyping(typing: boolean): void {
  set({ typing });
}
export function toggleShade(): void {
  set(({ shaded }) => ({ shaded: !shaded }));
}
export function showUnder(under: BenchView['under']): void {
  set({ under });
}
export function showPanel(index: number): void {
  set({ index, typing: false });
}

/** Drawings of a design, made once. */
type Drawings = Record<View, Drawing>;
const drawn = new WeakMap<PanelDesign, Drawings>();

function drawingsOf(design: PanelDesign): Drawings {
  const known = drawn.get(design);
  if (known) return known;
  const made = Object.fromEntries(views.map((view) => [view, design.drawing(view)])) as Drawings;
  drawn.set(design, made);
  return made;
}

/** The panel on the bench with its figures and drawings. */
export function useBenchPanel() {
  const { open, figures } = useDerived();
  const index = useBenchView((view) => view.index);
  const at = Math.min(index, open.panels.length - 1);
  const panel = open.panels[at];
  const mine: PanelFigures | undefined = figures.perPanel[at];
  if (!panel || !mine) throw new RangeError(`no panel ${at} on the bench`);
  return { at, open, figures, panel, mine, ...drawingsOf(panel.design) };
}

/** The dimension in hand, the first that can be set when the chosen one is not drawn. */
export function heldOf(drawings: Drawings, chosen: string): Dimension | undefined {
  const dimensions = views.flatMap((view) => drawings[view].dimensions).filter(({ edit }) => edit);
  return dimensions.find(({ id }) => id === chosen) ?? dimensions[0];
}

/** Sets the dimension in hand in the job; a message when it cannot be, with the reason. */
export function setDimension(
  panel: number,
  dimension: Dimension & { edit: Edit },
  value: number,
  habit: Habit,
): string | undefined {
  const bound = sayBound(dimension, value, habit);
  if (bound) return bound;
  const { edit } = dimension;
  const outcome = useJob.getState().change(`panels.${panel}.${edit.path}`, fieldValue(edit, value));
  return outcome.ok ? undefined : outcome.message;
}
