import { fixesFor, isClash, isProgramFault } from '../care';
import type { Job } from '../document';
import { heatersOf, parseJob, pathSteps, valueAtPath, withValueAt } from '../document';
import { type Family, type Field, families, type HeaterDocument } from '../families';
import { fieldText } from '../field';
import { formatLength, type Habit } from '../quantity';
import { type Editable, editableDimensions, fieldValue, pathOf } from './dimension';
import { heaterPath, openJob } from './open';

/** One way to let a dimension have a size that is beyond its bounds: every field that moves, the dimension's own first. */
export interface Refit {
  changes: { path: string; value: unknown }[];
  /** What moves, a field each, as a person reads it: `Risers: 12 to 9`. */
  words: string[];
}

/** m. Sizes are rounded up to the millimetre where room is made. */
function upToMillimetre(metres: number): number {
  return Math.ceil(metres * 1000 - 1e-6) / 1000;
}

type Moves = ReadonlyMap<string, unknown>;

/**
 * Ways in which the rest of a panel can follow a dimension to a size beyond its bounds: counts and pitches that fill a smaller pane,
 * a longer pane for longer tubes, a deeper board. The fewest fields that do it, at most three ways, each tried on the whole panel:
 * it has the size and brings no clash that was not there before.
 *
 * @param dimension of the panel as it stands
 * @param size m, outside the dimension's bounds
 * @returns none where nothing that the builder owns makes it fit
 */
export function refitDimension(job: Job, index: number, dimension: Editable, size: number, habit: Habit): Refit[] {
  const panel = heatersOf(job)[index];
  if (!panel) return [];
  const family: Family = families[panel.family as keyof typeof families];
  const { edit } = dimension;
  const own: Moves = new Map([[edit.path, fieldValue(edit, size)]]);
  const before = new Set(clashesOf(job, index));
  const fits = (moves: Moves): boolean => {
    const moved = withMoves(job, index, moves);
    if (!parseJob(moved).ok) return false;
    try {
      const open = openJob(moved);
      const drawn = editableDimensions(open, index).find(({ id }) => id === dimension.id);
      return (
        drawn !== undefined &&
        Math.abs(drawn.value - size) < 1e-4 &&
        clashesOf(moved, index).every((code) => before.has(code))
      );
    } catch (error) {
      // A panel that cannot be drawn is no way to fit; a fault of the program is none of its making.
      if (isProgramFault(error)) throw error;
      return false;
    }
  };
  const found: Moves[] = [];
  for (const others of candidates(family, job, index, dimension, size, own)) {
    const least = fewest([...others], own, fits);
    if (least && !found.some((known) => sameMoves(known, least))) found.push(least);
  }
  return found.slice(0, 3).map((moves) => ({
    changes: [...moves].map(([path, value]) => ({ path: `${heaterPath(panel.id)}.${path}`, value })),
    words: wordsOf(family, panel, moves, own, habit),
  }));
}

function withMoves(job: Job, index: number, moves: Moves): Job {
  let moved = job;
  for (const [path, value] of moves) moved = withValueAt(moved, pathSteps(`${pathOf(job, index)}.${path}`), value);
  return moved;
}

/** Codes of what clashes in a panel; one that cannot be opened clashes in every way. */
function clashesOf(job: Job, index: number): string[] {
  const design = openJob(job).panels[index]?.design;
  return (design?.findings ?? []).filter(isClash).map(({ code }) => code);
}

/** Sets of fields that could follow, each as a whole. */
function candidates(
  family: Family,
  job: Job,
  index: number,
  { edit, value }: Editable,
  size: number,
  own: Moves,
): Moves[] {
  const moved = withMoves(job, index, own);
  const panel = heatersOf(moved)[index];
  if (!panel) return [];
  const sets: Moves[] = [];
  // What fills the pane: counts, pitches and lengths.
  const filled = attemptFit(family, panel);
  if (filled) {
    const differing = Object.entries(filled.parameters)
      .filter(([name, next]) => next !== panel.parameters[name] && `parameters.${name}` !== edit.path)
      .map(([name, next]): [string, unknown] => [`parameters.${name}`, next]);
    if (differing.length > 0) sets.push(new Map(differing));
  }
  // What gives room beyond the upper bound.
  if (edit.room && size > edit.high) {
    const { path, share } = edit.room;
    const stands = valueAtPath(panel, pathSteps(path));
    if (typeof stands === 'number') sets.push(new Map([[path, upToMillimetre(stands + share * (size - edit.high))]]));
  }
  // What the panel itself says would mend it, but for going back.
  try {
    const fixes = (openJob(moved).panels[index]?.design.findings ?? []).flatMap((finding): [string, unknown][] =>
      fixesFor(finding).flatMap(({ path, value }): [string, unknown][] => {
        const field = path.slice(`${heaterPath(panel.id)}.`.length);
        return field === edit.path ? [] : [[field, value]];
      }),
    );
    if (fixes.length > 0) sets.push(new Map(fixes));
  } catch {
    // Not to be drawn at that size: it says nothing of what would mend it.
  }
  return value === size ? [] : sets;
}

function attemptFit(family: Family, panel: HeaterDocument): HeaterDocument | undefined {
  try {
    return family.fit?.(panel);
  } catch {
    // Too small to hold anything.
    return undefined;
  }
}

/** The smallest subset of what could follow with which it fits. At most five follow, so thirty tries. */
function fewest(others: [string, unknown][], own: Moves, fits: (moves: Moves) => boolean): Moves | undefined {
  const held = others.slice(0, 5);
  const subsets = Array.from({ length: 2 ** held.length - 1 }, (_, bits) =>
    held.filter((_, place) => ((bits + 1) >> place) & 1),
  ).sort((a, b) => a.length - b.length);
  for (const subset of subsets) {
    const moves: Moves = new Map([...own, ...subset]);
    if (fits(moves)) return moves;
  }
  return undefined;
}

function sameMoves(a: Moves, b: Moves): boolean {
  return a.size === b.size && [...a].every(([path, value]) => b.get(path) === value);
}

function wordsOf(family: Family, panel: HeaterDocument, moves: Moves, own: Moves, habit: Habit): string[] {
  const fields: readonly Field[] = family.fields(panel);
  return [...moves].flatMap(([path, next]) => {
    if (own.has(path)) return [];
    const field = fields.find((one) => one.path === path);
    if (!field) return [];
    const { meta, value } = field;
    const pane = path.startsWith('glazing.') ? 'Pane, ' : '';
    const label = pane ? `${pane}${meta.label.toLowerCase()}` : meta.label;
    return [`${label}: ${fieldText(meta, value, habit)} to ${fieldText(meta, next, habit)}`];
  });
}

/** What a person reads of one way, in one line. */
export function sayRefit({ words }: Refit): string {
  return words.join('; ');
}

/** A refusal of a size, and why: the words under a dimension that was typed beyond its bounds; nothing within them. */
export function sayBound({ label, edit }: Editable, size: number, habit: Habit): string | undefined {
  const text = (metres: number) => formatLength(metres, habit).text;
  const name = `${label[0]?.toUpperCase()}${label.slice(1)}`;
  if (size < edit.low - 1e-9) return `${name} is at least ${text(edit.low)} here: below that ${edit.lowReason}.`;
  if (size > edit.high + 1e-9) return `${name} is at most ${text(edit.high)} here: above that ${edit.highReason}.`;
  return undefined;
}
