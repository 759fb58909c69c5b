import type { Parsed } from './parse';
import { longestEntry, parseNumber } from './parse';

const rise = /^\s*(\d+(?:[.,]\d+)?)\s*(?:\/|:|in|over)\s*(\d+(?:[.,]\d+)?)\s*$/i;

/**
 * Degrees from level as people write a slope: `35`, `35°`, or rise over run, `6/12`, `6 in 12`, `1:4`.
 *
 * @example parsePitch('6/12') // { ok: true, value: 26.6 }
 */
export function parsePitch(text: string): Parsed {
  // The length is judged first: a search for blanks at the end takes the square of their number.
  if (text.length > longestEntry) return parseNumber(text);
  const match = rise.exec(text);
  if (!match) return parseNumber(text.replace(/\s*(°|deg|degrees)\s*$/i, ''));
  const [up, along] = [match[1], match[2]].map((part) => Number(part?.replace(',', '.')));
  if (!along) return { ok: false, message: 'A slope needs a run that is not 0.', at: text.length - 1 };
  return { ok: true, value: Math.round(((Math.atan((up ?? 0) / along) * 180) / Math.PI) * 10) / 10 };
}
