/** What somebody wrote for a place: degrees, north and east positive, or what is wrong and at which character. */
export type ParsedPlace =
  | { ok: true; latitude: number; longitude: number }
  | { ok: false; message: string; at: number };

type Axis = 'latitude' | 'longitude';
type ParsedAngle = { ok: true; value: number; axis: Axis | undefined } | { ok: false; message: string; at: number };

const letters: Record<string, { axis: Axis; sign: number }> = {
  N: { axis: 'latitude', sign: 1 },
  S: { axis: 'latitude', sign: -1 },
  E: { axis: 'longitude', sign: 1 },
  O: { axis: 'longitude', sign: 1 },
  W: { axis: 'longitude', sign: -1 },
};
const most: Record<Axis, number> = { latitude: 90, longitude: 180 };
const word = /north|south|east|west/gi;
const figures = /\d+(?:[.,]\d+)?/g;

/**
 * One angle as people write it: `-40.9`, `40.9 S`, `S 40° 54′ 0″`, `40 54 00 S`, `40:54:00S`, `40°54.0'S`, `40,9° south`.
 */
function readAngle(written: string, start: number, expected: Axis): ParsedAngle {
  const fail = (message: string, at = start): ParsedAngle => ({ ok: false, message, at });
  const text = written.replace(word, (name) => (name[0] ?? '').toUpperCase());
  const found = text.match(/[A-Za-z]/g) ?? [];
  if (found.length > 1) return fail('Write one of N, S, E, W with each angle.');
  const letter = found[0] ? letters[found[0].toUpperCase()] : undefined;
  if (found[0] && !letter) return fail(`“${found[0]}” is none of N, S, E, W.`);
  const axis = letter?.axis ?? expected;
  const parts = [...text.matchAll(figures)].map((match) => Number(match[0].replace(',', '.')));
  const [degrees, minutes = 0, seconds = 0] = parts;
  if (degrees === undefined) return fail('An angle is missing here.');
  if (parts.length > 3) return fail('Too many numbers for degrees, minutes and seconds.');
  if (minutes >= 60 || seconds >= 60) return fail('Minutes and seconds go to 59.');
  if (parts.slice(0, -1).some((part) => !Number.isInteger(part)))
    return fail('Only the last of degrees, minutes and seconds can have decimals.');
  const negative = /^[^\d]*[-−–]/.test(text);
  if (negative && letter) return fail('Write a sign or a letter, not both: which of the two is meant?');
  const size = degrees + minutes / 60 + seconds / 3600;
  if (size > most[axis]) return fail(`A ${axis} goes to ${most[axis]}°.`);
  return { ok: true, value: size === 0 ? 0 : size * (letter?.sign ?? (negative ? -1 : 1)), axis: letter?.axis };
}

/** Characters of the longest way in which anybody writes a place. */
const longestPlace = 120;

/** Where the first angle ends: at the letter after it, at a comma, semicolon or slash, or half-way through bare numbers. */
function partAt(text: string): number | undefined {
  const sign = /[;/]|,(?=\s)|,(?=\s*[-−–+NSEWOnsewo])/.exec(text);
  if (sign) return sign.index;
  const leading = /^\s*[NSEWOnsewo]/.test(text);
  if (leading) {
    const second = /[NSEWOnsewo]/.exec(text.replace(word, (name) => name[0]?.padEnd(name.length) ?? '').slice(1));
    return second && second.index > 0 ? second.index + 1 : undefined;
  }
  const plainWords = text.replace(word, (name) => name[0]?.padEnd(name.length) ?? '');
  const letter = /[NSEWOnsewo]/.exec(plainWords);
  if (letter) {
    const rest = plainWords.slice(letter.index + 1);
    return rest.trim() ? letter.index + 1 + (/^\s*/.exec(text.slice(letter.index + 1))?.[0].length ?? 0) : undefined;
  }
  const numbers = [...text.matchAll(figures)];
  // "40.9,172.9": one comma between two numbers that have points already.
  const tight = /\.\d+,/.exec(text);
  if (tight) return tight.index + tight[0].length - 1;
  if (numbers.length < 2 || numbers.length % 2 === 1) return undefined;
  const second = numbers[numbers.length / 2];
  if (!second) return undefined;
  const before = text.slice(0, second.index);
  return before.length - (/[-−–+\s]*$/.exec(before)?.[0].length ?? 0);
}

/**
 * Reads latitude and longitude in any common form: decimal, degrees-minutes-seconds, with signs or hemisphere letters
 * before or behind, in either order where letters say which is which.
 *
 * @example parsePlace('40°54′S 172°54′E') // { ok: true, latitude: -40.9, longitude: 172.9 }
 */
export function parsePlace(text: string): ParsedPlace {
  if (text.length > longestPlace)
    return { ok: false, message: 'That is too long for a latitude and a longitude.', at: longestPlace };
  if (text.trim() === '') return { ok: false, message: 'Nothing is written here.', at: 0 };
  const strange = /[^\dA-Za-z\s.,;:/°º˚'′’"″”+\-−–]/.exec(text);
  if (strange)
    return { ok: false, message: `“${strange[0]}” has no place in a latitude or longitude.`, at: strange.index };
  const at = partAt(text);
  if (at === undefined)
    return { ok: false, message: 'Write latitude and longitude, for instance 40.9 S, 172.9 E.', at: text.length };
  const head = text.slice(0, at);
  const tail = text.slice(at).replace(/^[,;/]/, ' ');
  const first = readAngle(head, 0, 'latitude');
  if (!first.ok) return first;
  const second = readAngle(tail, at, first.axis === 'longitude' ? 'latitude' : 'longitude');
  if (!second.ok) return second;
  if (first.axis !== undefined && first.axis === second.axis)
    return { ok: false, message: `Both angles are a ${first.axis}.`, at };
  const turned = first.axis === 'longitude' || second.axis === 'latitude';
  const [latitude, longitude] = turned ? [second.value, first.value] : [first.value, second.value];
  if (Math.abs(latitude) > most.latitude) return { ok: false, message: 'A latitude goes to 90°.', at: turned ? at : 0 };
  return { ok: true, latitude, longitude };
}

/** `40.900° S, 172.900° E`, to a thousandth of a degree: a hundred metres. */
export function formatPlace(latitude: number, longitude: number): string {
  const side = (value: number, letter: string) => `${Math.abs(value).toFixed(3)}°\u00a0${letter}`;
  return `${side(latitude, latitude < 0 ? 'S' : 'N')}, ${side(longitude, longitude < 0 ? 'W' : 'E')}`;
}

const winds = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

/** `12° east of north`; one of the eight winds alone when it is within half a degree of one. */
export function formatAim(aim: number): string {
  const turned = ((Math.round(aim) % 360) + 360) % 360;
  if (turned % 45 === 0) return winds[turned / 45] ?? 'north';
  const quarter = Math.round(turned / 90) * 90;
  const off = turned - quarter;
  const from = winds[(quarter / 45) % 8] ?? 'north';
  const toward = winds[((quarter + (off > 0 ? 90 : -90)) / 45 + 8) % 8] ?? 'north';
  return `${Math.abs(off)}°\u00a0${toward} of ${from}`;
}
