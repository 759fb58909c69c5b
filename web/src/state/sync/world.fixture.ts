import { type Change, type Job, mergeChanges, same, valueAtPath } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { type Effect, type Input, step } from './machine';
import { type Entry, openSync, type Rules, revive, type Stored, type Sync, unsaved } from './state';

/**
 * Two windows and a server that loses, delays, doubles and reorders what goes between them, that dies between a write and its answer, and
 * whose windows are closed and opened again at any moment. A schedule is a list of numbers: each says what happens next.
 */

/** Fields of the small document that is edited: two of them must not both be large. */
const fields = ['pitch', 'risers', 'aim', 'name'] as const;
type Small = { parts: Record<string, string | undefined>; name: string };

/** A value says who set it and which of his edits it was: `a7`. The start is `0`. */
const author = (value: unknown): string => String(value ?? '0')[0] ?? '0';
const pathOf = (field: string): string[] => (field === 'name' ? ['name'] : ['parts', field]);

/** Unsound where both of two fields were set by edits whose numbers end in 1 to 4: each goes by itself. */
function troubleIn(document: Small): string | undefined {
  const { pitch, risers } = document.parts;
  const early = (value: string | undefined) => /[1-4]$/.test(value ?? '');
  return early(pitch) && early(risers) ? 'both are early' : undefined;
}

interface Server {
  stored: Stored;
  saves: Set<string>;
  /** Saves that were answered with a conflict or a refusal: a copy that comes later is not taken. */
  turnedAway: Set<string>;
  /** Every value that a path ever had, in order. */
  history: Map<string, unknown[]>;
  log: ShopEvent[];
}

interface Message {
  from: number;
  effect: Effect;
  /** The answer, once the server has worked on it. */
  answer?: Input;
}

interface Client {
  name: string;
  state: Sync;
  /** What the browser has laid by: all that is left when the window is closed. */
  laidBy: Sync;
  open: boolean;
  timer: boolean;
  edits: number;
  /** Values that were set here, by path, in order. */
  wrote: Map<string, unknown[]>;
  /** Values that were asked about, by path. */
  asked: Map<string, Set<unknown>>;
  recorded: string[];
}

const add = <T>(map: Map<string, T[]>, key: string, value: T) => map.set(key, [...(map.get(key) ?? []), value]);

export class World {
  readonly server: Server;
  readonly clients: Client[];
  private messages: Message[] = [];
  private events = 0;
  private saves = 0;
  /** What was found to be wrong, in words. */
  readonly wrong: string[] = [];
  counts = { conflicts: 0, refusals: 0, undone: 0, crashes: 0, lost: 0 };

  constructor() {
    const document = { parts: { pitch: '0', risers: '0', aim: '0' }, name: '0' } as unknown as Job;
    const stored = { version: 1, document };
    this.server = { stored, saves: new Set(), turnedAway: new Set(), history: new Map(), log: [] };
    for (const field of fields) this.server.history.set(field, ['0']);
    this.clients = ['a', 'b'].map((name) => {
      const state = openSync(stored, { events: [], seq: 0 });
      return {
        name,
        state,
        laidBy: state,
        open: true,
        timer: false,
        edits: 0,
        wrote: new Map(),
        asked: new Map(),
        recorded: [],
      };
    });
  }

  private rules(client: Client): Rules {
    return {
      // As random ids are: never the same twice, whatever the window remembers.
      saveId: () => `${client.name}${++this.saves}`,
      trouble: (document) => troubleIn(document as unknown as Small),
    };
  }

  private give(index: number, input: Input): void {
    const client = this.clients[index];
    if (!client?.open) return;
    const before = client.state;
    const { state, effects } = step(before, input, this.rules(client));
    client.state = state;
    for (const { path, yours, why } of state.contested) {
      const key = path[path.length - 1] as string;
      const told = before.contested.some((one) => same(one.path, path) && same(one.yours, yours));
      if (!told && why === undefined) this.lookAtAsking(client, key, yours);
      const set = client.asked.get(key) ?? new Set();
      client.asked.set(key, set.add(yours));
    }
    if (input.kind === 'undo') this.lookAtUndo(client, before, state, before.past[before.past.length - 1]);
    if (input.kind === 'redo') this.lookAtUndo(client, before, state, before.future[0]);
    for (const effect of effects) {
      if (effect.kind === 'lay by') client.laidBy = state;
      else if (effect.kind === 'wait') client.timer = true;
      else this.messages.push({ from: index, effect });
    }
  }

  /** Undo and redo touch only what this client set, or nobody yet. */
  private lookAtUndo(client: Client, before: Sync, after: Sync, entry: Entry | undefined): void {
    for (const field of fields) {
      const [was, is] = [before, after].map(({ document }) => valueAtPath(document, pathOf(field)));
      if (same(was, is)) continue;
      this.counts.undone += 1;
      if (!entry?.edits.some(({ path }) => same(path, pathOf(field))))
        this.wrong.push(`an undo of ${client.name} moved ${field}, which it was not about`);
      add(client.wrote, field, is);
      if (was !== '0' && author(was) !== client.name && !(client.wrote.get(field) ?? []).includes(was))
        this.wrong.push(`an undo of ${client.name} took ${String(was)} from ${field}`);
    }
  }

  /** Nobody is asked about what the server has taken already: it was overwritten by a later edit, and that is all there is to it. */
  private lookAtAsking(client: Client, field: string, yours: unknown): void {
    const wrote = (client.wrote.get(field) ?? []).filter((value) => same(value, yours)).length;
    const taken = (this.server.history.get(field) ?? []).some((value) => same(value, yours));
    if (wrote === 1 && taken && author(yours) === client.name)
      this.wrong.push(`${client.name} is asked about ${String(yours)}, which was taken`);
  }

  /** The server works on a message; true when it has an answer. */
  private work(message: Message): void {
    const { effect } = message;
    const { server } = this;
    switch (effect.kind) {
      case 'send': {
        const { save, changes } = effect.sent;
        if (server.saves.has(save)) {
          message.answer = { kind: 'saved', save, stored: server.stored };
          return;
        }
        if (server.turnedAway.has(save)) {
          message.answer = { kind: 'clashed', save, stored: server.stored };
          return;
        }
        const merge = mergeChanges(server.stored.document, changes);
        if (!merge.ok) {
          server.turnedAway.add(save);
          this.counts.conflicts += 1;
          message.answer = { kind: 'clashed', save, stored: server.stored };
          return;
        }
        const why = troubleIn(merge.document as unknown as Small);
        if (why !== undefined) {
          server.turnedAway.add(save);
          this.counts.refusals += 1;
          message.answer = { kind: 'refused', save, why };
          return;
        }
        for (const { path, after } of changes as Change[])
          add(server.history as Map<string, unknown[]>, path[path.length - 1] as string, after);
        server.stored = { version: server.stored.version + 1, document: merge.document };
        server.saves.add(save);
        message.answer = { kind: 'saved', save, stored: server.stored };
        return;
      }
      case 'log': {
        const known = new Set(server.log.map(({ id }) => id));
        server.log.push(...effect.events.filter(({ id }) => !known.has(id)));
        message.answer = { kind: 'logged', ids: effect.events.map(({ id }) => id) };
        return;
      }
      case 'fetch':
        message.answer = { kind: 'fetched', stored: server.stored };
        return;
      case 'hear': {
        const page = server.log.slice(effect.after, effect.after + 3);
        const seq = effect.after + page.length;
        message.answer = { kind: 'heard', events: page, seq, more: seq < server.log.length };
        return;
      }
      default:
        return;
    }
  }

  private lose({ from, effect }: Message): void {
    this.counts.lost += 1;
    const what = ({ send: 'save', log: 'log', fetch: 'fetch', hear: 'hear' } as const)[
      effect.kind as 'send' | 'log' | 'fetch' | 'hear'
    ];
    this.give(from, { kind: 'unanswered', what });
  }

  /** One thing happens: which one, to whom and with what is told by three numbers. */
  happen(what: number, who: number, which: number): void {
    const index = who % this.clients.length;
    const client = this.clients[index] as Client;
    const at = this.messages.length > 0 ? which % this.messages.length : -1;
    const message = this.messages[at];
    switch (what % 16) {
      case 0:
      case 1:
      case 2: {
        if (!client.open) return;
        client.edits += 1;
        const field = fields[which % fields.length] as string;
        const value = `${client.name}${client.edits}`;
        const next = { ...(client.state.document as unknown as Small) };
        // As the bench does: what makes no sound document is refused before it is an edit.
        const tried =
          field === 'name' ? { ...next, name: value } : { ...next, parts: { ...next.parts, [field]: value } };
        if (troubleIn(tried) !== undefined) return;
        add(client.wrote, field, value);
        this.give(index, { kind: 'edit', fields: [{ path: pathOf(field), value }] });
        return;
      }
      case 3:
        this.give(index, { kind: which % 3 === 0 ? 'redo' : 'undo' });
        return;
      case 4:
        this.give(index, { kind: client.state.dragFrom ? 'end drag' : 'begin drag' });
        return;
      case 5: {
        if (!client.open) return;
        this.events += 1;
        const id = `${client.name}-${this.events}`;
        client.recorded.push(id);
        const event = { kind: 'made', part: 'p', count: 1, id, at: '2026-05-01T10:00:00Z', device: client.name };
        this.give(index, { kind: 'record', events: [event as ShopEvent] });
        return;
      }
      case 6:
      case 7:
        if (client.timer) {
          client.timer = false;
          this.give(index, { kind: 'due' });
        }
        return;
      case 8:
      case 9:
      case 10:
        // A message arrives and its answer with it.
        if (!message) return;
        if (!message.answer) this.work(message);
        this.messages.splice(at, 1);
        if (message.answer) this.give(message.from, message.answer);
        return;
      case 11:
        // It arrives, and the answer is late: others may overtake it.
        if (message && !message.answer) this.work(message);
        return;
      case 12:
        // It is lost on the way there, or on the way back.
        if (!message) return;
        this.messages.splice(at, 1);
        if (which % 2 === 0 && !message.answer) this.work(message);
        this.lose(message);
        return;
      case 13:
        // It arrives twice.
        if (message) {
          const twin = { ...message };
          this.work(twin);
          this.messages.push(twin);
        }
        return;
      case 14:
        if (which % 4 === 0) {
          // The window is closed, or its machine dies: what is under way is nobody's any more.
          this.counts.crashes += 1;
          this.messages = this.messages.filter(({ from, answer, effect }) => {
            if (from !== index) return true;
            if (!answer && which % 8 === 0) this.work({ from, effect });
            return false;
          });
          client.open = false;
          client.timer = false;
        } else if (!client.open) this.reopen(index);
        else if (which % 4 === 1) {
          const [one] = client.state.contested;
          if (one) {
            const choice = which % 8 === 1 ? 'yours' : 'theirs';
            if (choice === 'yours') add(client.wrote, one.path[one.path.length - 1] as string, one.yours);
            this.give(index, { kind: 'settle', path: one.path, choice });
          }
        }
        return;
      default:
        // What the others did is told, to those who hear it.
        this.give(index, { kind: 'stands', version: this.server.stored.version, seq: this.server.log.length });
        return;
    }
  }

  private reopen(index: number): void {
    const client = this.clients[index] as Client;
    client.open = true;
    client.timer = false;
    client.state = revive(client.laidBy);
    this.give(index, { kind: 'due' });
    this.give(index, { kind: 'stands', version: this.server.stored.version, seq: this.server.log.length });
  }

  /** Everything works again, and nobody does anything any more: what waits is carried out until nothing is under way. */
  comeToRest(): void {
    this.clients.forEach((client, index) => {
      if (!client.open) this.reopen(index);
      if (client.state.dragFrom) this.give(index, { kind: 'end drag' });
    });
    for (let round = 0; round < 400; round += 1) {
      const message = this.messages.shift();
      if (message) {
        if (!message.answer) this.work(message);
        if (message.answer) this.give(message.from, message.answer);
        continue;
      }
      let moved = false;
      this.clients.forEach((client, index) => {
        if (!client.timer) return;
        client.timer = false;
        moved = true;
        this.give(index, { kind: 'due' });
      });
      if (moved || this.messages.length > 0) continue;
      const { version } = this.server.stored;
      const behind = this.clients.some(
        ({ state }) => state.base.version < version || state.seq < this.server.log.length,
      );
      if (!behind) return;
      this.clients.forEach((_, index) => {
        this.give(index, { kind: 'stands', version, seq: this.server.log.length });
      });
    }
    this.wrong.push('it never comes to rest');
  }

  /** What must hold once all is at rest. */
  look(): string[] {
    const { wrong, server } = this;
    for (const client of this.clients) {
      const { state, name } = client;
      if (unsaved(state) > 0 || state.sent) wrong.push(`something of ${name} waits for ever`);
      if (!same(state.document, server.stored.document))
        wrong.push(`${name} shows another document than the server has`);
      const ids = (log: readonly ShopEvent[]) =>
        log
          .map(({ id }) => id)
          .sort()
          .join();
      if (ids(state.log) !== ids(server.log)) wrong.push(`${name} has another log than the server`);
      for (const id of client.recorded)
        if (server.log.filter((event) => event.id === id).length !== 1)
          wrong.push(`${id} stands ${server.log.filter((event) => event.id === id).length} times in the log`);
      // The last value that a client gave a field was taken by the server, or its writer was asked about it.
      for (const [field, values] of client.wrote) {
        const last = values[values.length - 1];
        const taken = (server.history.get(field) ?? []).some((value) => same(value, last));
        const asked = client.asked.get(field)?.has(last) ?? false;
        const still = same(valueAtPath(state.document, pathOf(field)), last);
        if (!taken && !asked && !still) wrong.push(`${String(last)} of ${field} is lost`);
      }
    }
    return wrong;
  }
}
