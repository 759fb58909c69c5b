import { fineMarks, formatIn, formatLength, formatNumber, formatQuantity, type Habit } from '../quantity';
import type { Measured, Readout } from './readout';

/** What stands for a figure that cannot be worked out. */
const noFigure = 'cannot be worked out';

/** Heaters drop a few pascals: too little for kPa or psi to show. Pa from which those are written. */
const largePressure = 1000;

function sayPressure(value: number, habit: Habit, digits?: number): { number: string; text: string } {
  if (Math.abs(value) >= largePressure) return formatQuantity('pressure', value, habit, digits);
  return habit === 'metric' ? formatIn('pressure', value, 'Pa') : formatIn('pressure', value, 'inH₂O', 3);
}

/** s from which hours say it better than minutes. */
const manyMinutes = 3 * 3600;

function sayDuration(value: number): { number: string; text: string } {
  if (!Number.isFinite(value)) return { number: 'never', text: 'never' };
  return value < manyMinutes ? formatIn('duration', value, 'min', 0) : formatIn('duration', value, 'h', 1);
}

function write({ kind, digits }: Pick<Readout, 'kind' | 'digits'>, value: number, habit: Habit) {
  if (kind === 'number') return { number: formatNumber(value, digits ?? 2), text: formatNumber(value, digits ?? 2) };
  if (kind === 'ratio') {
    const text = `1 : ${formatNumber(value, digits ?? 2)}`;
    return { number: text, text };
  }
  if (kind === 'pressure') return sayPressure(value, habit, digits);
  if (kind === 'duration') return sayDuration(value);
  return formatQuantity(kind, value, habit, digits);
}

/** The value of a readout in the reader's units, a pair with the unit once: `41, 47 kg`. */
export function sayReadout(readout: Readout, habit: Habit): string {
  const { values } = readout;
  if (values.length === 0) return noFigure;
  return values
    .map((value, index) => {
      const { number, text } = write(readout, value, habit);
      return index < values.length - 1 ? number : text;
    })
    .join(', ');
}

/** The ends of a readout's band: `21.3 to 27.8`, without the unit that its value has. */
export function sayBand(readout: Readout, { low, high }: { low: number; high: number }, habit: Habit): string {
  return `${write(readout, low, habit).number} to ${write(readout, high, habit).number}`;
}

/** One number of a derivation or a choice. */
export function sayMeasured(
  { value, kind, digits }: Measured | (Pick<Readout, 'kind' | 'digits'> & { value: number }),
  habit: Habit,
): string {
  if (kind === 'length') return formatLength(value, habit, fineMarks).text;
  return kind === 'pressure'
    ? formatQuantity(kind, value, habit, digits).text
    : write({ kind, ...(digits === undefined ? {} : { digits }) }, value, habit).text;
}
