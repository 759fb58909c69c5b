import { findEntry } from '../../catalogue';
import { type Part, type Purchase, sectionOf } from '../../shop';

/** What the builder has typed that no piece shows: how far tubes stand out, the radius of a bend, a gasket. */
export type Typed = Record<string, unknown>;

/** A cut list to be asked for its pieces by their role, counting what is used of each. */
export class CutList {
  readonly used = new Map<string, number>();
  constructor(
    readonly prefix: string,
    readonly parts: readonly Part[],
    readonly purchases: readonly Purchase[],
  ) {}

  has(role: string): boolean {
    return this.parts.some(({ id }) => id === `${this.prefix}/${role}`);
  }

  /** One of a role's pieces, taken off the list. Throws where there is none left. */
  take(role: string): Part {
    const found = this.parts.find(({ id }) => id === `${this.prefix}/${role}`);
    if (!found) throw new Error(`no ${role} on the list`);
    const taken = (this.used.get(role) ?? 0) + 1;
    if (taken > found.count) throw new Error(`only ${found.count} of ${role} on the list`);
    this.used.set(role, taken);
    return found;
  }

  /** How many of a role there are; zero where none. */
  count(role: string): number {
    return this.parts.find(({ id }) => id === `${this.prefix}/${role}`)?.count ?? 0;
  }

  bought(role: string): Purchase | undefined {
    return this.purchases.find(({ id }) => id === `${this.prefix}/${role}`);
  }

  /** Roles with pieces that nothing has taken. */
  left(): string[] {
    return this.parts
      .map(({ id, count }) => ({ role: id.slice(this.prefix.length + 1), count }))
      .filter(({ role, count }) => (this.used.get(role) ?? 0) < count)
      .map(({ role, count }) => `${count - (this.used.get(role) ?? 0)} of ${role}`);
  }
}

/** m. What a pane is ordered at; nothing where it has no such size. */
export function orderedSize(pane: Purchase): { width: number; height: number } | undefined {
  return pane.size && 'height' in pane.size ? pane.size : undefined;
}

/** m. Length of a piece that is cut to length. */
export function lengthOf(part: Part): number {
  if (part.kind !== 'length') throw new Error(`${part.id} is no length`);
  return part.length;
}

/** m. Through a piece: of timber as finished, of sheet as sold, of bar over its flange. */
export function thicknessOf(part: Part): number {
  const thickness =
    sectionOf(part)?.thickness ?? findEntry('sheet', part.item)?.thickness ?? findEntry('bar', part.item)?.thickness;
  if (thickness === undefined) throw new Error(`${part.id} has no thickness`);
  return thickness;
}

/** m. Outside of a tube. */
export function diameterOf(part: Part): number {
  const tube = findEntry('tube', part.item);
  if (!tube) throw new Error(`${part.id} is no tube`);
  return tube.outerDiameter;
}
