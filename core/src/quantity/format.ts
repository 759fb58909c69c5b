import { definitions, fromSI, type Habit, habitUnit, inch, type QuantityKind, unitOf } from './units';

/** A length as a tape reads it. Metric fills `number`; imperial fills feet, inches and a reduced fraction. */
export interface LengthReading {
  negative: boolean;
  /** What stands before the unit in metric, for instance `1 872`. */
  number?: string;
  feet?: number;
  inches?: number;
  numerator?: number;
  denominator?: number;
  /** Inches in decimals, in the place of all these: for what is thinner than the finest mark of a rule. */
  decimal?: string;
  /** All of it in one line, for instance `3′ 4 5/8″` or `1 872 mm`. */
  text: string;
}

export interface LengthOptions {
  /** Finest fraction of an inch, a power of two up to 64; 16 by default. */
  fraction?: number;
  /** Decimals of a millimetre; 0 by default. */
  decimals?: number;
  /** Inches only, as on a shop rule (40 5/8 and not 3′ 4 5/8). */
  inchesOnly?: boolean;
  /** Leave the unit out of `text` in metric, as on a drawing. */
  bare?: boolean;
}

/** No-break space: thousands are parted, as on a drawing, and no number wraps or parts from its unit. */
const hard = '\u00a0';
/** Writes a number with grouped thousands and a real minus. */
export function formatNumber(value: number, digits = 0): string {
  const rounded = Math.abs(value).toFixed(digits);
  const [whole = '0', decimals] = rounded.split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, hard);
  const minus = value < 0 && Number(rounded) !== 0 ? '−' : '';
  return `${minus}${grouped}${decimals ? `.${decimals}` : ''}`;
}

/** m. What is less than this is written as nothing: no rule or gauge in a shed shows it. */
const leastWritten = 1e-5;

/** Decimals with which millimetres show what they are: below one mark of the tape, the tenths and hundredths. */
function millimetreDecimals(millimetres: number, wanted: number): number {
  if (millimetres < leastWritten * 1000) return wanted;
  for (const decimals of [wanted, wanted + 1, wanted + 2]) {
    if (decimals > 2) break;
    const shown = Number(millimetres.toFixed(decimals));
    if (shown > 0 && (millimetres >= 1 || Math.abs(shown - millimetres) <= 0.05 * millimetres)) return decimals;
  }
  return Math.max(wanted, 2);
}

/** So many of a thing: `1 reading`, `12 readings`. */
export function formatCount(count: number, one: string, many = `${one}s`): string {
  return `${formatNumber(count)} ${count === 1 ? one : many}`;
}

/** For what is thin: tenths of a millimetre, 64ths of an inch. */
export const fineMarks = { decimals: 1, fraction: 64 } as const;

/**
 * A length rounded to the tape's mark, once, at the end: never add up rounded lengths.
 *
 * @param value m
 * What is thinner than a mark is not rounded to one: it shows its tenths, 64ths or thousandths.
 *
 * @example formatLength(1.031875, 'imperial').text // 3′ 4 5/8″
 * @example formatLength(0.0003, 'metric').text // 0.3 mm
 */
export function formatLength(value: number, habit: Habit, options: LengthOptions = {}): LengthReading {
  if (habit === 'metric') {
    const number = formatNumber(value * 1000, millimetreDecimals(Math.abs(value) * 1000, options.decimals ?? 0));
    return { negative: number.startsWith('−'), number, text: options.bare ? number : `${number}${hard}mm` };
  }
  const usual = options.fraction ?? 16;
  const thin = Math.abs(value) / inch < 1 / usual - 1e-9 && Math.abs(value) >= leastWritten;
  const in64ths = (Math.abs(value) / inch) * 64;
  // A foil of 12 thousandths is no 64th: it is written as the shop writes it.
  if (thin && Math.abs(in64ths - Math.round(in64ths)) > 0.1) {
    const decimal = (Math.abs(value) / inch).toFixed(3);
    if (Number(decimal) > 0) return { negative: value < 0, decimal, text: `${value < 0 ? '−' : ''}${decimal}″` };
  }
  const finest = thin ? 64 : usual;
  const marks = Math.round((Math.abs(value) / inch) * finest);
  const negative = value < 0 && marks > 0;
  const wholeInches = Math.floor(marks / finest);
  let numerator = marks % finest;
  let denominator = finest;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  const feet = options.inchesOnly ? 0 : Math.floor(wholeInches / 12);
  const inches = options.inchesOnly ? wholeInches : wholeInches % 12;
  const words: string[] = [];
  if (feet > 0) words.push(`${feet}′`);
  const fraction = numerator > 0 ? `${numerator}/${denominator}` : '';
  if (inches > 0 && fraction) words.push(`${inches} ${fraction}″`);
  else if (fraction) words.push(`${fraction}″`);
  else if (inches > 0 || feet === 0) words.push(`${inches}″`);
  return {
    negative,
    feet,
    inches,
    ...(numerator > 0 ? { numerator, denominator } : {}),
    text: `${negative ? '−' : ''}${words.join(' ')}`,
  };
}

export interface Written {
  number: string;
  unit: string;
  text: string;
}

/**
 * Writes any quantity but money in the habit's unit.
 *
 * @param value SI (temperatures in °C)
 * @param digits decimals; the kind's usual ones when left out
 * @example formatQuantity('flow', 4e-5, 'metric').text // 2.4 L/min
 */
export function formatQuantity(kind: QuantityKind, value: number, habit: Habit, digits?: number): Written {
  if (kind === 'length' && habit === 'imperial') {
    const text = formatLength(value, habit).text;
    return { number: text, unit: '', text };
  }
  const unit = habitUnit(kind, habit);
  if (kind === 'length' && digits === undefined) return written(formatLength(value, habit).number ?? '', unit.symbol);
  const number = formatNumber(fromSI(value, unit), digits ?? definitions[kind][habit].digits);
  return written(number, unit.symbol);
}

/**
 * Writes a quantity that is not known to more figures than a few: a year's sun, a sum of guesses.
 *
 * @param figures significant figures of the number in the habit's unit
 * @example formatRough('insolation', 6.9e9, 'imperial').text // 608 000 Btu/ft²
 */
export function formatRough(kind: QuantityKind, value: number, habit: Habit, figures = 3): Written {
  const unit = habitUnit(kind, habit);
  const number = fromSI(value, unit);
  const whole = number === 0 ? 1 : Math.floor(Math.log10(Math.abs(number))) + 1;
  const digits = Math.min(Math.max(0, figures - whole), definitions[kind][habit].digits);
  return written(formatNumber(Number(number.toPrecision(figures)), digits), unit.symbol);
}

/** Writes a quantity in a named unit, for instance energy in MJ. */
export function formatIn(kind: QuantityKind, value: number, symbol: string, digits = 1): Written {
  return written(formatNumber(fromSI(value, unitOf(kind, symbol)), digits), symbol);
}

function written(number: string, unit: string): Written {
  return { number, unit, text: unit === '°' ? `${number}${unit}` : `${number}${hard}${unit}` };
}

/** Money with its label, whole units unless below 100. The currency is a label; North Pane converts none. */
export function formatMoney(value: number, currency: string, digits?: number): string {
  const decimals = digits ?? (Math.abs(value) < 100 && !Number.isInteger(value) ? 2 : 0);
  return `${currency}${hard}${formatNumber(value, decimals)}`;
}

/**
 * A change of a quantity with its sign, in the habit's unit and without it: `+0.4`, `−18`. Offsets of temperature scales
 * fall away. Undefined when nothing is left at those decimals.
 *
 * @param difference SI
 */
export function formatChange(
  kind: QuantityKind,
  difference: number,
  habit: Habit,
  digits?: number,
): string | undefined {
  const unit = habitUnit(kind, habit);
  return signed(difference / unit.factor, digits ?? definitions[kind][habit].digits);
}

/** A plain number with its sign; undefined when it rounds to zero. */
export function signed(value: number, digits: number): string | undefined {
  const text = formatNumber(Math.abs(value), digits);
  return Number(text.replaceAll(hard, '')) === 0 ? undefined : `${value > 0 ? '+' : '−'}${text}`;
}
