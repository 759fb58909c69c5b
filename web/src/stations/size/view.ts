import type { Dimension, Drawing, Edit } from '@north-pane/core/draw';
import type { HeaterDesign } from '@north-pane/core/families';
import type { HeaterFigures } from '@north-pane/core/figures';
import { fieldValue, pathOf, sayBound } from '@north-pane/core/job';
import type { Habit } from '@north-pane/core/quantity';
import { create } from 'zustand';
import { useDerived } from '../../state/derived';
import { jobActions, jobNow } from '../../state/job';

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
  /** Id of the view that stands under the plan; `side` is the heater from the side on its stand. */
  under: string;
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
export function isShown(design: HeaterDesign, dimension: Dimension, under: string): boolean {
  return [leadOf(design), viewsUnder(design, under).under].some((view) =>
    viewOf(design, view)?.dimensions.includes(dimension),
  );
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

/** Views of designs, each drawn once, when it is first looked at. */
const drawn = new WeakMap<HeaterDesign, Map<string, Drawing>>();

/** One view of a design; undefined where it has none of that name. */
export function viewOf(design: HeaterDesign, view: string): Drawing | undefined {
  const known = drawn.get(design) ?? new Map<string, Drawing>();
  drawn.set(design, known);
  const found = known.get(view) ?? design.drawings[view]?.draw();
  if (found) known.set(view, found);
  return found;
}

/** Id of the view that is worked on: the plan, unless another one leads. */
export function leadOf({ drawings }: HeaterDesign): string {
  return Object.entries(drawings).find(([, { leads }]) => leads)?.[0] ?? 'plan';
}

/** The heater from the side on its stand: drawn by its job, since the stand is the job's. */
const sideView = { id: 'side', name: 'From the side' };

/** Views that can stand under the one that is worked on, and the one that does: the wanted one where it can. */
export function viewsUnder(
  design: HeaterDesign,
  wanted: string,
): { views: { id: string; name: string }[]; under: string } {
  const lead = leadOf(design);
  const own = Object.entries(design.drawings).flatMap(([id, { name }]) => (id === lead ? [] : [{ id, name }]));
  // One that leads from the side needs no other.
  const side = design.drawings[lead]?.side ? [] : [sideView];
  const views = [...own.slice(0, 1), ...side, ...own.slice(1)];
  return { views, under: (views.find(({ id }) => id === wanted) ?? views[0] ?? sideView).id };
}

/** The view that is worked on. */
export function leadDrawing(design: HeaterDesign): Drawing {
  return viewOf(design, leadOf(design)) ?? design.drawings.plan.draw();
}

/** The panel on the bench with its figures and drawings. */
export function useBenchPanel() {
  const { open, figures } = useDerived();
  const index = useBenchView((view) => view.index);
  const at = Math.min(index, open.panels.length - 1);
  const panel = open.panels[at];
  const mine: HeaterFigures | undefined = figures.perHeater[at];
  if (!panel || !mine) throw new RangeError(`no panel ${at} on the bench`);
  return { at, open, figures, panel, mine };
}

/** The dimension in hand, the first that can be set when the chosen one is not drawn. Views are drawn until it is found. */
export function heldOf(design: HeaterDesign, chosen: string): Dimension | undefined {
  let first: Dimension | undefined;
  for (const view of Object.keys(design.drawings)) {
    const dimensions = viewOf(design, view)?.dimensions.filter(({ edit }) => edit) ?? [];
    const held = dimensions.find(({ id }) => id === chosen);
    if (held) return held;
    first ??= dimensions[0];
  }
  return first;
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
  const outcome = jobActions().change(`${pathOf(jobNow(), panel)}.${edit.path}`, fieldValue(edit, value));
  return outcome.ok ? undefined : outcome.message;
}
