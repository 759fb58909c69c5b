import { entryName } from '../catalogue';
import { formatLength, formatNumber, formatQuantity, type Habit } from '../quantity';
import type { FieldMeta } from './meta';

/** What a number of a field is multiplied by where it is written, and divided by where it is read. */
export function writtenFactor({ percent }: FieldMeta): number {
  return percent ? 100 : 1;
}

/** The value of a field as a person reads it; undefined where it is a part, of which only the name can be told. */
export function fieldText(meta: FieldMeta, value: unknown, habit: Habit): string | undefined {
  const { kind, quantity, digits, percent, choices } = meta;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    if (kind === 'length') return formatLength(value, habit).text;
    if (kind === 'mass') return formatQuantity('mass', value, habit, 3).text;
    if (kind === 'quantity' && quantity === 'length') return formatLength(value, habit).text;
    if (kind === 'quantity' && quantity) return formatQuantity(quantity, value, habit, digits).text;
    if (percent) return `${formatNumber(writtenFactor(meta) * value, digits)} %`;
    return formatNumber(value, digits ?? (kind === 'part' ? 2 : undefined));
  }
  if (typeof value !== 'string') return undefined;
  return choices?.find((one) => one.value === value)?.words ?? (kind === 'text' ? value : (entryName(value) ?? value));
}
