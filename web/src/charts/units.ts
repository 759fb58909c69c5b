import { fromSI, type Habit, habitUnit, type QuantityKind, toSI } from '@north-pane/core/quantity';

/** How a chart writes a quantity: its axis runs in the reader's unit so that its numbers are round there. */
export interface ChartUnit {
  symbol: string;
  write(value: number): number;
  /** Back from the axis, to SI. */
  read(value: number): number;
}

export function chartUnit(kind: QuantityKind, habit: Habit): ChartUnit {
  const unit = habitUnit(kind, habit);
  return { symbol: unit.symbol, write: (value) => fromSI(value, unit), read: (value) => toSI(value, unit) };
}

/** Differences have no offset; efficiencies and the like have no unit. */
export const plain: ChartUnit = { symbol: '', write: (value) => value, read: (value) => value };

/** The unit of an axis with what stands beside it: `water in above air, K`. */
export function axisUnit(
  { title, kind }: { title: string; kind: QuantityKind | 'number' },
  habit: Habit,
): ChartUnit & { title: string } {
  if (kind === 'number') return { ...plain, title };
  const unit = chartUnit(kind, habit);
  return { ...unit, title: `${title}, ${unit.symbol}` };
}
