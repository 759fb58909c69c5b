import type { Finding } from '../care';

/** What a builder wrote under a danger: when, in which words, and how bad it was then. */
export interface Answer {
  at: string;
  words: string;
  /** The measure of the danger, as `Finding` has it. */
  measure?: number;
}

/** Share by which a danger may grow before it is another: figures move in their last digits. */
const slack = 0.01;

/** One danger of one heater, or of one field. */
export function dangerKey(code: string, about: string | undefined): string {
  return about === undefined ? code : `${code} ${about}`;
}

/** What a danger is about: the heater that it names, else what mends it. */
export function dangerAbout({ about, path }: Pick<Finding, 'about' | 'path'>): string {
  return about ?? path;
}

/** The answer that was given for this danger of this heater, whatever its number was; one of an older log names no heater. */
export function lastAnswer(
  acknowledged: Readonly<Record<string, Answer>>,
  danger: Pick<Finding, 'code' | 'about' | 'path'>,
): Answer | undefined {
  return acknowledged[dangerKey(danger.code, dangerAbout(danger))] ?? acknowledged[danger.code];
}

/**
 * The answer that holds for a danger: given for it, about the same heater, when it was as bad or worse. A worse design asks again, and so does
 * one whose answer tells neither.
 */
export function answerFor(
  acknowledged: Readonly<Record<string, Answer>>,
  danger: Pick<Finding, 'code' | 'about' | 'path' | 'measure'>,
): Answer | undefined {
  const answer = acknowledged[dangerKey(danger.code, dangerAbout(danger))];
  if (!answer || danger.measure === undefined) return answer;
  const { measure } = answer;
  return measure !== undefined && danger.measure <= measure + slack * Math.abs(measure) ? answer : undefined;
}
