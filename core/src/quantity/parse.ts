import { definitions, type Habit, habitUnit, type QuantityKind, toSI, type Unit } from './units';

/** A reading of what somebody typed: the SI value, or what is wrong and at which character (from 0). */
export type Parsed = { ok: true; value: number } | { ok: false; message: string; at: number };

const vulgar: Record<string, number> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};
const vulgarClass = `[${Object.keys(vulgar).join('')}]`;
const gap = '[\\s\\u00a0\\u202f\\u2009]';
const thousands = /^\d{1,3}(?:[ \u00a0\u202f\u2009]\d{3})+(?:[.,]\d+)?(?!\d)/;
const mixed = new RegExp(`^(\\d+)(?:${gap}+|${gap}*[-–]${gap}*)(\\d+)${gap}*[/⁄]${gap}*(\\d+)`);
const mixedVulgar = new RegExp(`^(\\d+)?(?:${gap}*[-–]?${gap}*)(${vulgarClass})`);
const fraction = new RegExp(`^(\\d+)${gap}*[/⁄]${gap}*(\\d+)`);
const commaThousands = /^\d{1,3}(?:,\d{3})+\.\d+/;
const ambiguous = /^\d{1,3}(?:,\d{3})+(?![\d,.])/;
const decimal = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)/;

/** Characters of the longest entry that means anything. */
export const longestEntry = 120;

interface NumberToken {
  value: number;
  end: number;
}
type Trouble = { message: string; at: number };

function readNumber(text: string, start: number): NumberToken | Trouble {
  const rest = text.slice(start);
  const divide = (top: string, bottom: string, whole: number, length: number): NumberToken | Trouble => {
    if (Number(bottom) === 0) return { message: 'A fraction cannot have 0 below the line.', at: start + length - 1 };
    return { value: whole + Number(top) / Number(bottom), end: start + length };
  };
  let match = mixed.exec(rest);
  if (match) return divide(match[2] ?? '', match[3] ?? '', Number(match[1]), match[0].length);
  match = fraction.exec(rest);
  if (match) return divide(match[1] ?? '', match[2] ?? '', 0, match[0].length);
  match = mixedVulgar.exec(rest);
  if (match) return { value: Number(match[1] ?? 0) + (vulgar[match[2] ?? ''] ?? 0), end: start + match[0].length };
  match = thousands.exec(rest);
  if (match) return { value: plain(match[0].replace(/[\s\u00a0\u202f\u2009]/g, '')), end: start + match[0].length };
  match = commaThousands.exec(rest);
  if (match) return { value: Number(match[0].replaceAll(',', '')), end: start + match[0].length };
  match = ambiguous.exec(rest);
  if (match) {
    const whole = match[0].replaceAll(',', '');
    const point = match[0].replace(',', '.');
    return { message: `Is that ${whole} or ${point}? Write it without the comma.`, at: start + rest.indexOf(',') };
  }
  match = decimal.exec(rest);
  if (match) return { value: plain(match[0]), end: start + match[0].length };
  return { message: 'A number is missing here.', at: start };
}

function plain(digits: string): number {
  return Number(digits.replace(',', '.'));
}

function readUnit(text: string, start: number, units: readonly Unit[]): { unit: Unit; end: number } | undefined {
  const rest = text.slice(start).toLowerCase();
  let best: { unit: Unit; end: number } | undefined;
  for (const unit of units) {
    for (const name of [unit.symbol.toLowerCase(), ...unit.names]) {
      if (!rest.startsWith(name)) continue;
      const next = rest[name.length] ?? '';
      if (/[a-z]$/.test(name) && /[a-z]/.test(next)) continue;
      if (!best || start + name.length > best.end) best = { unit, end: start + name.length };
    }
  }
  return best;
}

function skipGap(text: string, start: number): number {
  let at = start;
  while (at < text.length && /[\s\u00a0\u202f\u2009]/.test(text[at] ?? '')) at += 1;
  return at;
}

function unknownUnit(text: string, at: number, units: readonly Unit[]): Trouble {
  const word = /^\S+/.exec(text.slice(at))?.[0] ?? '';
  return { message: `“${word}” is no unit here. Known: ${units.map((unit) => unit.symbol).join(', ')}.`, at };
}

/**
 * Reads a quantity as people write it: `104F`, `2.4 L/min`, `3' 4 5/8"`, `40-5/8`, `1 032`, `1,5 m`.
 * A bare number means the habit's own unit (mm or inches for lengths).
 *
 * @returns the SI value (temperatures in °C), or a message and the index of the character it is about.
 * @example parseQuantity('length', `3' 4 5/8"`, 'imperial') // { ok: true, value: 1.031875 }
 */
export function parseQuantity(kind: QuantityKind, text: string, habit: Habit): Parsed {
  const units = definitions[kind].units;
  const fail = (trouble: Trouble): Parsed => ({ ok: false, message: trouble.message, at: trouble.at });
  if (text.length > longestEntry) return fail({ message: 'That is too long for a number.', at: longestEntry });
  let at = skipGap(text, 0);
  if (at >= text.length) return fail({ message: 'Nothing is written here.', at: 0 });
  let sign = 1;
  if (text[at] === '-' || text[at] === '−' || text[at] === '–') {
    sign = -1;
    at = skipGap(text, at + 1);
  } else if (text[at] === '+') {
    at = skipGap(text, at + 1);
  }

  let total = 0;
  let previous: Unit | undefined;
  while (at < text.length) {
    const number = readNumber(text, at);
    if ('message' in number) return fail(number);
    const numberAt = at;
    at = skipGap(text, number.end);
    let unit: Unit;
    const found = at < text.length ? readUnit(text, at, units) : undefined;
    if (found) {
      unit = found.unit;
      at = skipGap(text, found.end);
      // "3 ft - 4 in" and "3'-4" are written with a dash between the terms.
      if (kind === 'length' && unit.symbol === 'ft' && /[-–]/.test(text[at] ?? '')) at = skipGap(text, at + 1);
    } else if (at < text.length && !/[\d.,½¼¾⅛⅜⅝⅞⅓⅔]/.test(text[at] ?? '')) {
      return fail(unknownUnit(text, at, units));
    } else if (previous) {
      if (previous.symbol !== 'ft')
        return fail({ message: 'Which unit is this second number in? Write it after.', at: numberAt });
      unit = units.find((candidate) => candidate.symbol === 'in') ?? previous;
    } else {
      if (at < text.length) return fail({ message: 'There are two numbers without a unit between them.', at });
      unit = habitUnit(kind, habit);
    }
    if (previous && (kind !== 'length' || unit.factor >= previous.factor))
      return fail({ message: `${unit.symbol} cannot follow ${previous.symbol}.`, at: numberAt });
    total += previous ? number.value * unit.factor : toSI(sign * number.value, unit) * sign;
    previous = unit;
  }
  const value = sign * total;
  if (!Number.isFinite(value)) return fail({ message: 'That number is too large.', at: 0 });
  return { ok: true, value: value === 0 ? 0 : value };
}

/** Reads a plain number (a count, a ratio, money): same writing habits, no unit. */
export function parseNumber(text: string): Parsed {
  if (text.length > longestEntry) return { ok: false, message: 'That is too long for a number.', at: longestEntry };
  const start = skipGap(text, 0);
  if (start >= text.length) return { ok: false, message: 'Nothing is written here.', at: 0 };
  const negative = /[-−–]/.test(text[start] ?? '');
  const number = readNumber(text, skipGap(text, negative ? start + 1 : start));
  if ('message' in number) return { ok: false, ...number };
  const end = skipGap(text, number.end);
  if (end < text.length) return { ok: false, message: `“${text.slice(end)}” is not part of a number.`, at: end };
  return { ok: true, value: negative ? -number.value : number.value };
}
