import { formatLength, formatQuantity } from './format';
import { type Habit, type QuantityKind, quantityKinds } from './units';

/**
 * A length inside a sentence that is made before anybody knows who reads it: SI between two marks that no keyboard has.
 * `sayWords` writes it in the reader's habit.
 *
 * @param metres m
 * @param fine tenths of a millimetre or 64ths, for what is thin
 */
export function sized(metres: number, fine = false): string {
  return `⟦${fine ? '~' : ''}${metres}⟧`;
}

/** Any other quantity inside such a sentence; SI, °C for temperatures. */
export function measured(kind: QuantityKind, value: number, digits?: number): string {
  return `⟦${kind}:${value}${digits === undefined ? '' : `:${digits}`}⟧`;
}

/** A wood screw of 4 mm or number 8, by its length in m. */
export function screwSized(length: number): string {
  return `⟦screw:${length}⟧`;
}

/** A bolt by its thread in m: M8 in metric shops, 5/16″ in others. */
export function boltSized(thread: number): string {
  return `⟦bolt:${thread}⟧`;
}

const threads = {
  screw: { metric: '4', imperial: '#8' },
} as const;

/** Sizes that shops name by their thread. */
function sayThread(kind: string, value: number, habit: Habit): string | undefined {
  if (kind === 'screw')
    return `${threads.screw[habit]} × ${formatLength(value, habit, { bare: true, inchesOnly: true }).text}`;
  if (kind !== 'bolt') return undefined;
  return habit === 'metric' ? `M${Math.round(value * 1000)}` : formatLength(value, habit).text;
}

function say(inside: string, habit: Habit): string {
  const [first = '', value, digits] = inside.split(':');
  const kind = quantityKinds.find((one) => one === first);
  if (kind && value !== undefined)
    return formatQuantity(kind, Number(value), habit, digits === undefined ? undefined : Number(digits)).text;
  const thread = value === undefined ? undefined : sayThread(first, Number(value), habit);
  if (thread !== undefined) return thread;
  const fine = first.startsWith('~');
  const options = fine ? { decimals: 1, fraction: 64 as const } : {};
  // A whole number of millimetres needs no zero behind it.
  return formatLength(Number(fine ? first.slice(1) : first), habit, options).text.replace(/\.0(?=\D|$)/, '');
}

/** Words with every quantity in them written in the habit. */
export function sayWords(words: string, habit: Habit): string {
  return words.replaceAll(/⟦([^⟧]+)⟧/g, (_, inside: string) => say(inside, habit));
}
