import { formatLength } from './format';
import type { Habit } from './units';

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

/** Words with every length in them written in the habit. */
export function sayWords(words: string, habit: Habit): string {
  return words.replaceAll(/⟦(~?)([^⟧]+)⟧/g, (_, fine: string, metres: string) =>
    formatLength(Number(metres), habit, fine ? { decimals: 1, fraction: 64 } : {}).text.replace(/\.0(?=\D|$)/, ''),
  );
}
