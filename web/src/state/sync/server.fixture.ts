import { type Change, type Job, mergeChanges } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import type { Effect, Had, Input } from './messages';
import type { Stored } from './state';

// The server of the world, with one small job: what the real one answers, worked out by its rules and not by those of the machine.

/** Fields of the small document that is edited: two of them must not both be large. */
export const fields = ['pitch', 'risers', 'aim', 'name'] as const;
export type Small = { parts: Record<string, string | undefined>; name: string };

/** A value says who set it and which of his edits it was: `a7`. The start is `0`. */
export const author = (value: unknown): string => String(value ?? '0')[0] ?? '0';
export const pathOf = (field: string): string[] => (field === 'name' ? ['name'] : ['parts', field]);

/** Unsound where both of two fields were set by edits whose numbers end in 1 to 4: each goes by itself. */
export function troubleIn(document: Small): string | undefined {
  const { pitch, risers } = document.parts;
  const early = (value: string | undefined) => /[1-4]$/.test(value ?? '');
  return early(pitch) && early(risers) ? 'both are early' : undefined;
}

export interface Server {
  /** Of the job that has the name now. */
  key: number;
  stored: Stored;
  /** The version that each save made. */
  saves: Map<string, number>;
  /** The saves that made each version, in their order. */
  stamps: Map<number, string>;
  /** Saves that were answered with a conflict or a refusal: a copy that comes later is not taken. */
  turnedAway: Set<string>;
  /** Every value that a path ever had, in order. */
  history: Map<string, unknown[]>;
  log: ShopEvent[];
}

export const add = <T>(map: Map<string, T[]>, key: string, value: T) => map.set(key, [...(map.get(key) ?? []), value]);

/** A job as it begins. */
export function freshJob(key: number): Server {
  const document = { parts: { pitch: '0', risers: '0', aim: '0' }, name: '0' } as unknown as Job;
  const stamp = `begun ${key}`;
  const stored = { version: 1, stamp, document };
  return {
    key,
    stored,
    saves: new Map(),
    stamps: new Map([[1, stamp]]),
    turnedAway: new Set(),
    history: new Map(fields.map((field) => [field, ['0']])),
    log: [],
  };
}

/** Whether the server goes on from what a window last had, as the real one tells. */
export function continues(
  server: Server,
  { version, stamp, seq = 0, mark }: Partial<Had> & { version: number },
): boolean {
  const { stored, stamps, log } = server;
  if (version > stored.version || (stamp !== undefined && stamps.get(version) !== stamp)) return false;
  return seq === 0 || (log.length >= seq && (mark === undefined || markAt(log, seq) === mark));
}

/** What it answers to what a window asks, once it has worked on it; nothing where nothing was asked. */
export function answerOf(server: Server, effect: Effect): Input | undefined {
  switch (effect.kind) {
    case 'send': {
      const { save, base, stamp, changes } = effect.sent;
      if (server.saves.has(save)) {
        return { kind: 'saved', save, stored: server.stored };
      }
      if (server.turnedAway.has(save)) {
        return { kind: 'clashed', save, stored: server.stored };
      }
      if (!continues(server, { version: base, ...(stamp === undefined ? {} : { stamp }) })) {
        return otherCopy(server);
      }
      const merge = mergeChanges(server.stored.document, changes);
      if (!merge.ok) {
        server.turnedAway.add(save);
        return { kind: 'clashed', save, stored: server.stored };
      }
      const why = troubleIn(merge.document as unknown as Small);
      if (why !== undefined) {
        server.turnedAway.add(save);
        return { kind: 'refused', save, why };
      }
      for (const { path, after } of changes as Change[])
        add(server.history as Map<string, unknown[]>, path[path.length - 1] as string, after);
      // By all saves in their order, as the server's digest: the same one after others makes another version.
      const made = `${server.stored.stamp} ${save}`;
      server.stored = { version: server.stored.version + 1, stamp: made, document: merge.document };
      server.saves.set(save, server.stored.version);
      server.stamps.set(server.stored.version, made);
      return { kind: 'saved', save, stored: server.stored };
    }
    case 'log': {
      const { after, mark } = effect;
      if (!continues(server, { version: 1, seq: after, ...(mark === undefined ? {} : { mark }) })) {
        return otherCopy(server);
      }
      const known = new Set(server.log.map(({ id }) => id));
      server.log.push(...effect.events.filter(({ id }) => !known.has(id)));
      return { kind: 'logged', ids: effect.events.map(({ id }) => id), seq: server.log.length };
    }
    case 'fetch':
      return continues(server, effect.had)
        ? { kind: 'fetched', ask: effect.ask, stored: server.stored }
        : otherCopy(server);
    case 'hear': {
      const { ask, after, mark } = effect;
      if (!continues(server, { version: 1, seq: after, ...(mark === undefined ? {} : { mark }) })) {
        return otherCopy(server);
      }
      const page = server.log.slice(after, after + 3);
      const seq = after + page.length;
      const more = seq < server.log.length;
      return { kind: 'heard', ask, events: page, seq, mark: markAt(server.log, seq), more };
    }
    default:
      return undefined;
  }
}

/** The server's mark of its log up to a number. */
export function markAt(log: readonly ShopEvent[], seq: number): string {
  return log
    .slice(0, seq)
    .map(({ id }) => id)
    .join();
}

export function otherCopy({ stored, log }: Server): Input {
  return { kind: 'parted', copy: { stored, seq: log.length } };
}

export function copyOfServer(server: Server): Server {
  const { saves, stamps, turnedAway, log } = server;
  return {
    ...server,
    saves: new Map(saves),
    stamps: new Map(stamps),
    turnedAway: new Set(turnedAway),
    log: [...log],
  };
}

export function stampOf({ stamp }: Stored): { stamp?: string } {
  return stamp === undefined ? {} : { stamp };
}
