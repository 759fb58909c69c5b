import { entryName, type FieldMeta } from '../catalogue';
import { formatLength, formatNumber, formatQuantity, type Habit } from '../quantity';

/** The value of a field of a panel as a person reads it. */
export function fieldText(meta: FieldMeta, value: unknown, habit: Habit): string {
  if (meta.kind === 'length' && typeof value === 'number') return formatLength(value, habit).text;
  if (meta.kind === 'mass' && typeof value === 'number') return formatQuantity('mass', value, habit, 3).text;
  if (meta.kind === 'count' && typeof value === 'number') return formatNumber(value);
  return meta.choices?.find((one) => one.value === value)?.words ?? entryName(String(value)) ?? String(value);
}
