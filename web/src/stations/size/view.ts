import {
  type Dimension,
  type Drawing,
  type Edit,
  formatLength,
  type Habit,
  type PanelDesign,
  type PanelFigures,
  type View,
  views,
} from '@north-pane/core';
import { create } from 'zustand';
import { useDerived } from '../../state/derived';
import { useJob } from '../../state/job';

/** What of the bench is in hand: a matter of the eye, not of the job. */
interface BenchView {
  index: number;
  /** Id of the dimension in hand. */
  chosen: string;
  typing: boolean;
  /** Label of the readout that shows its makings. */
  opened: string | undefined;
  /** The plan shows how warm the plate is. */
  shaded: boolean;
  /** What stands under the plan. */
  under: 'section' | 'side' | 'detail' | 'bent';
}

const start: BenchView = {
  index: 0,
  chosen: 'pitch',
  typing: false,
  opened: undefined,
  shaded: false,
  under: 'section',
};
export const useBenchView = create<BenchView>()(() => start);
const set = useBenchView.setState;

/** As it is when a job is put on the bench. */
export function resetBench(): void {
  set(start);
}
/** The first touch takes a dimension in hand, the second opens it for typing. */
export function chooseDimension(dimension: Dimension): void {
  set(({ chosen }) => ({ typing: dimension.id === chosen, chosen: dimension.id }));
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
  const { edit, label } = dimension;
  const size = (metres: number) => formatLength(metres, habit).text;
  const name = `${label[0]?.toUpperCase()}${label.slice(1)}`;
  if (value < edit.low - 1e-9) return `${name} is at least ${size(edit.low)} here: below that ${edit.lowReason}.`;
  if (value > edit.high + 1e-9) return `${name} is at most ${size(edit.high)} here: above that ${edit.highReason}.`;
  const outcome = useJob
    .getState()
    .change(`panels.${panel}.${edit.path}`, Math.round((value * edit.scale + edit.offset) * 1e7) / 1e7);
  return outcome.ok ? undefined : outcome.message;
}
