import { measured, sized } from '../../quantity';
import type { Check } from '../../steps';
import { pipeFall, slopeWords } from './ports';

/** A reading of a length: what it is to be, and how far it may be off; m. */
export function lengthCheck(id: string, words: string, value: number, within: number): Check {
  return { id, words, expects: { kind: 'length', value, within } };
}

/** A count that must be right. */
export function countCheck(id: string, words: string, value: number): Check {
  return { id, words, expects: { kind: 'count', value, within: 0 } };
}

/** m in a metre that what must lie level may be off. Trade: half a bubble. */
const level = 0.003;

/** What must lie level does, by a spirit level a metre long. */
export function levelCheck(id: string, what: string): Check {
  return lengthCheck(id, `${what} lies level: no more than ${1000 * level} off in 1000, by a spirit level`, 0, level);
}

/** A pipe that must fall, or rise, does all the way. */
export function fallCheck(id: string, what: string): Check {
  return lengthCheck(id, `${what}: ${slopeWords}, and nowhere less than half of it`, pipeFall, pipeFall / 2);
}

/** m that water in an open end may fall in half an hour. */
const stands = 0.005;

/** A vessel that is full to an open end keeps its water. */
export function standsFull(id: string): Check {
  return lengthCheck(
    id,
    `marked at the open end, the water falls no more than ${sized(stands)} in half an hour`,
    0,
    stands,
  );
}

/** Share by which paint that is used may differ from what its area takes. Judgement: brush, roller, rough ground. */
const paintSpread = 0.4;

/** Paint enough went on: what the tin lost. m³ would be its unit; lists have litres. */
export function paintCheck(id: string, litres: number): Check {
  const value = litres / 1000;
  return {
    id,
    words: `both coats together took ${measured('volume', value, 2)} of black: much less is one coat`,
    expects: { kind: 'volume', value, within: paintSpread * value },
  };
}
