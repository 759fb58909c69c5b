import type { Finding } from '../care';
import { entryName } from '../catalogue';
import { measured, sized } from '../quantity';

/** Something that a builder has already, with its size; m. Tube and sheet of the catalogue lie in the shed and are cut from there. */
export type Salvage = { id: string } & (
  | { kind: 'pane'; width: number; height: number; count: number }
  | { kind: 'tank'; diameter: number; length: number; count: number }
  | { kind: 'hose'; item: string; length: number }
  | { kind: 'bottles'; diameter: number; height: number; count: number }
);

/** What a kind takes of a thing: in words that fit “takes …”, and how much of which lines of its buy list it stands for, by their roles. */
export interface Taken {
  id: string;
  words: string;
  covers: Readonly<Record<string, number>>;
  /** How many such heaters it is enough for. */
  alike: number;
}

/** A thing that a kind does not use, and why. */
export interface LeftOut {
  id: string;
  /** What would not fit, where it was tried. */
  finding?: Finding;
  /** Degrees of tilt at which it would go, where the tilt is what stands in the way. */
  fitsAt?: number;
}

/** Length of a bare tank over its width, as those of old water heaters have it; for one of which only the volume is known. */
const tankSlenderness = 2.7;

/** m. Outside of a tank that holds so many m³, as tanks of its size usually are: to the centimetre, for somebody who cannot measure it yet. */
export function usualTank(volume: number): { diameter: number; length: number } {
  const diameter = Math.round(100 * Math.cbrt((4 * volume) / (Math.PI * tankSlenderness))) / 100;
  return { diameter, length: Math.round((100 * volume) / ((Math.PI / 4) * diameter ** 2)) / 100 };
}

/** m³ that a tank of that outside holds, its ends taken for flat and its wall for thin. */
export function tankVolume({ diameter, length }: { diameter: number; length: number }): number {
  return (Math.PI / 4) * diameter ** 2 * length;
}

/** A thing as a person reads it. */
export function saySalvage(thing: Salvage): string {
  const several = (count: number, one: string, many: string) => (count === 1 ? one : `${count} ${many}`);
  switch (thing.kind) {
    case 'pane':
      return `${several(thing.count, 'a pane', 'panes')} ${sized(Math.max(thing.width, thing.height))} × ${sized(Math.min(thing.width, thing.height))}`;
    case 'tank':
      return `${several(thing.count, 'a tank', 'tanks')} of ${measured('volume', tankVolume(thing))}, ${sized(thing.diameter)} across, ${sized(thing.length)} long`;
    case 'hose':
      return `${measured('height', thing.length, 1)} of ${entryName(thing.item) ?? thing.item}`;
    case 'bottles':
      return `${thing.count} bottles ${sized(thing.diameter)} across`;
    default:
      return thing satisfies never;
  }
}

/** Things of one sort. */
export function thingsOf<K extends Salvage['kind']>(
  things: readonly Salvage[],
  kind: K,
): Extract<Salvage, { kind: K }>[] {
  return things.filter((one): one is Extract<Salvage, { kind: K }> => one.kind === kind);
}

/** The largest pane on hand, longer side first. */
export function largestPane(
  things: readonly Salvage[],
): { id: string; long: number; short: number; count: number } | undefined {
  const [first] = thingsOf(things, 'pane')
    .map(({ id, width, height, count }) => ({
      id,
      long: Math.max(width, height),
      short: Math.min(width, height),
      count,
    }))
    .sort((a, b) => b.long * b.short - a.long * a.short);
  return first;
}

/** The role of a line of a buy list: its id without the panel's. */
export function roleOf({ id }: { id: string }): string {
  return id.split('/').slice(1).join('/');
}
