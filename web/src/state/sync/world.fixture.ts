import { type Change, changesBetween, type Job, mergeChanges, same, valueAtPath } from '@north-pane/core/document';
import { foldEvents, nextClock, type ShopEvent } from '@north-pane/core/shoplog';
import { hadOf, step } from './machine';
import type { Effect, Had, Input } from './messages';
import { type Entry, openSync, type Rules, revive, type Stored, type Sync, unsaved } from './state';

/**
 * Two to seven windows of two browsers, with clocks that are wrong, and a server that loses, delays, doubles and reorders what goes between
 * them, that dies between a write and its answer, that is put back to an older copy, and on which the job is deleted and begun again under
 * the same name. Windows are closed and opened again at any moment. A schedule is a list of numbers: each says what happens next.
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
  /** Of the job that has the name now. */
  key: number;
  stored: Stored;
  /** The version that each save made. */
  saves: Map<string, number>;
  /** The save that made each version. */
  stamps: Map<number, string>;
  /** Saves that were answered with a conflict or a refusal: a copy that comes later is not taken. */
  turnedAway: Set<string>;
  /** Every value that a path ever had, in order. */
  history: Map<string, unknown[]>;
  log: ShopEvent[];
}

interface Message {
  from: number;
  /** Of the job that it is meant for. */
  key: number;
  effect: Effect;
  /** The answer, once the server has worked on it; `gone` where that job is no more. */
  answer?: Input | 'gone';
}

interface Client {
  name: string;
  browser: number;
  /** ms by which its clock is wrong. */
  skew: number;
  key: number;
  state: Sync;
  /** What the other windows of its browser were told while the server did not answer. */
  told: { document: Job; log: readonly ShopEvent[] } | undefined;
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
  counts = { conflicts: 0, refusals: 0, undone: 0, crashes: 0, lost: 0, parted: 0, overheard: 0 };
  private wasPutBack = false;
  /** A copy of the server that it may be put back to. */
  private backup: Server | undefined;
  /** Values that another window of the browser may have sent, and overwritten since: its writer is asked about them. */
  private readonly shared = new Set<unknown>();
  /** Values that a window of the same browser was shown and set anew. */
  private readonly superseded = new Set<unknown>();
  /** Values that were set in a job that is deleted. */
  private readonly ofDeleted = new Set<unknown>();

  constructor(windows = 2) {
    this.server = this.freshJob(1);
    this.clients = ['a', 'b', 'c', 'd', 'e', 'f', 'g'].slice(0, windows).map((name, index) => ({
      name,
      browser: index % 2,
      skew: (index % 3) * 86_400_000,
      edits: 0,
      ...this.opened(),
    }));
  }

  private freshJob(key: number): Server {
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

  /** What a window has that opens the job for the first time. */
  private opened() {
    const { key, stored, log } = this.server;
    const state = openSync(stored, { events: [...log], seq: log.length, mark: this.markAt(log.length) });
    return {
      key,
      state,
      told: undefined,
      laidBy: state,
      open: true,
      timer: false,
      wrote: new Map<string, unknown[]>(),
      asked: new Map<string, Set<unknown>>(),
      recorded: [] as string[],
    };
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
      // What was taken before the server was put back may have to be asked about once more.
      if (!told && why === undefined && !this.wasPutBack) this.lookAtAsking(client, key, yours);
      const set = client.asked.get(key) ?? new Set();
      client.asked.set(key, set.add(yours));
    }
    if (input.kind === 'undo') this.lookAtUndo(client, before, state, before.past[before.past.length - 1]);
    if (input.kind === 'redo') this.lookAtUndo(client, before, state, before.future[0]);
    if (input.kind === 'parted') this.counts.parted += 1;
    for (const effect of effects) {
      if (effect.kind === 'lay by') client.laidBy = state;
      else if (effect.kind === 'wait') client.timer = true;
      else this.messages.push({ from: index, key: client.key, effect });
    }
    this.tellWindows(client);
  }

  /** As the driver does: while the server does not answer, the windows of a browser tell each other what they do. */
  private tellWindows(client: Client): void {
    const { state } = client;
    if (state.link === 'open') client.told = undefined;
    if (state.link === 'open' || state.dragFrom) return;
    const known = client.told ?? { document: state.base.document, log: [] };
    client.told = { document: state.document, log: state.log };
    const changes = changesBetween(known.document, state.document);
    const mine = new Set(state.outbox);
    const events = state.log.filter((event) => mine.has(event.id) && !known.log.includes(event));
    if (changes.length === 0 && events.length === 0) return;
    // Whoever sets a field anew while he is shown a value has overwritten that knowingly.
    for (const { before, after } of changes) {
      this.superseded.add(before);
      this.shared.add(after);
    }
    this.clients.forEach((other, index) => {
      if (other === client || other.browser !== client.browser || other.key !== client.key || !other.open) return;
      this.counts.overheard += 1;
      this.give(index, { kind: 'overheard', events, changes });
    });
  }

  /** Whether the server goes on from what a window last had, as the real one tells. */
  private continues({ version, stamp, seq = 0, mark }: Partial<Had> & { version: number }): boolean {
    const { stored, stamps, log } = this.server;
    if (version > stored.version || (stamp !== undefined && stamps.get(version) !== stamp)) return false;
    return seq === 0 || (log.length >= seq && (mark === undefined || this.markAt(seq) === mark));
  }

  /** The server's mark of its log up to a number. */
  private markAt(seq: number): string {
    return this.server.log
      .slice(0, seq)
      .map(({ id }) => id)
      .join();
  }

  private otherCopy(): Input {
    return { kind: 'parted', copy: { stored: this.server.stored, seq: this.server.log.length } };
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
    if (wrote === 1 && taken && author(yours) === client.name && !this.shared.has(yours))
      this.wrong.push(`${client.name} is asked about ${String(yours)}, which was taken`);
  }

  /** The server works on a message; true when it has an answer. */
  private work(message: Message): void {
    const { effect, key } = message;
    const { server } = this;
    if (key !== server.key) {
      message.answer = 'gone';
      return;
    }
    switch (effect.kind) {
      case 'send': {
        const { save, base, stamp, changes } = effect.sent;
        if (server.saves.has(save)) {
          message.answer = { kind: 'saved', save, stored: server.stored };
          return;
        }
        if (server.turnedAway.has(save)) {
          message.answer = { kind: 'clashed', save, stored: server.stored };
          return;
        }
        if (!this.continues({ version: base, ...(stamp === undefined ? {} : { stamp }) })) {
          message.answer = this.otherCopy();
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
        server.stored = { version: server.stored.version + 1, stamp: save, document: merge.document };
        server.saves.set(save, server.stored.version);
        server.stamps.set(server.stored.version, save);
        message.answer = { kind: 'saved', save, stored: server.stored };
        return;
      }
      case 'log': {
        const { after, mark } = effect;
        if (!this.continues({ version: 1, seq: after, ...(mark === undefined ? {} : { mark }) })) {
          message.answer = this.otherCopy();
          return;
        }
        const known = new Set(server.log.map(({ id }) => id));
        server.log.push(...effect.events.filter(({ id }) => !known.has(id)));
        message.answer = { kind: 'logged', ids: effect.events.map(({ id }) => id), seq: server.log.length };
        return;
      }
      case 'fetch':
        message.answer = this.continues(effect.had)
          ? { kind: 'fetched', ask: effect.ask, stored: server.stored }
          : this.otherCopy();
        return;
      case 'hear': {
        const { ask, after, mark } = effect;
        if (!this.continues({ version: 1, seq: after, ...(mark === undefined ? {} : { mark }) })) {
          message.answer = this.otherCopy();
          return;
        }
        const page = server.log.slice(after, after + 3);
        const seq = after + page.length;
        const more = seq < server.log.length;
        message.answer = { kind: 'heard', ask, events: page, seq, mark: this.markAt(seq), more };
        return;
      }
      default:
        return;
    }
  }

  /** An answer reaches the window that asked, if that is about the same job still. */
  private arrive({ from, key, answer }: Message): void {
    const client = this.clients[from] as Client;
    if (client.key !== key) return;
    if (answer === 'gone') this.leave(client);
    else if (answer) this.give(from, answer);
  }

  /** A window whose job is deleted says so, and is left. What it set is nobody's. */
  private leave(client: Client): void {
    client.open = false;
    client.timer = false;
  }

  private lose({ from, key, effect }: Message): void {
    this.counts.lost += 1;
    if (this.clients[from]?.key !== key) return;
    const what = ({ send: 'save', log: 'log', fetch: 'fetch', hear: 'hear' } as const)[
      effect.kind as 'send' | 'log' | 'fetch' | 'hear'
    ];
    this.give(from, { kind: 'unanswered', what });
  }

  /** A step ticked or unticked, by the clock of a window. */
  private tick({ state, skew, name }: Client, id: string, done: boolean): ShopEvent {
    const now = 1_780_000_000_000 + this.events * 1000 + skew;
    const clock = nextClock(state.log, now);
    return { kind: 'step', step: 's', done, id, at: new Date(now).toISOString(), clock, device: name };
  }

  /** One thing happens: which one, to whom and with what is told by three numbers. */
  happen(what: number, who: number, which: number): void {
    const index = who % this.clients.length;
    const client = this.clients[index] as Client;
    const at = this.messages.length > 0 ? which % this.messages.length : -1;
    const message = this.messages[at];
    switch (what % 18) {
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
        this.give(index, { kind: 'record', events: [this.tick(client, id, which % 2 === 0)] });
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
        this.arrive(message);
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
          this.messages = this.messages.filter(({ from, key, answer, effect }) => {
            if (from !== index) return true;
            if (!answer && which % 8 === 0) this.work({ from, key, effect });
            return false;
          });
          client.open = false;
          client.timer = false;
        } else if (!client.open) this.reopen(index);
        else if (which % 4 === 1) {
          const [one] = client.state.contested;
          if (client.state.otherCopy) this.choose(index, which % 8 === 1 ? 'yours' : 'theirs');
          else if (one) {
            const choice = which % 8 === 1 ? 'yours' : 'theirs';
            if (choice === 'yours') add(client.wrote, one.path[one.path.length - 1] as string, one.yours);
            this.give(index, { kind: 'settle', path: one.path, choice });
          }
        }
        return;
      case 16:
        // Once in a while a copy is kept, or the server is put back to the one that was.
        if (which < 8) this.backup = this.copyOfServer();
        else if (which < 12 && this.backup?.key === this.server.key) this.putBack(this.backup);
        else if (which === 23) this.begunAnew();
        return;
      default:
        // What the others did is told, to those who hear it.
        this.hearWhere(index);
        return;
    }
  }

  /** A window hears where the job stands that has its name. */
  private hearWhere(index: number): void {
    const client = this.clients[index] as Client;
    const { key, stored, log } = this.server;
    if (client.key === key)
      this.give(index, {
        kind: 'stands',
        version: stored.version,
        ...stampOf(stored),
        seq: log.length,
        mark: this.markAt(log.length),
      });
    else this.leave(client);
  }

  private copyOfServer(): Server {
    const { key, stored, saves, stamps, turnedAway, log } = this.server;
    return {
      key,
      stored,
      saves: new Map(saves),
      stamps: new Map(stamps),
      turnedAway: new Set(turnedAway),
      history: this.server.history,
      log: [...log],
    };
  }

  /** The server as it was; what it had taken since was taken, and those who know of it are asked. */
  private putBack(copy: Server): void {
    // It was stopped for that: what was on its way is nobody's.
    for (const message of this.messages.splice(0)) this.lose(message);
    this.wasPutBack = true;
    const { history } = this.server;
    Object.assign(this.server, {
      ...copy,
      saves: new Map(copy.saves),
      stamps: new Map(copy.stamps),
      log: [...copy.log],
    });
    this.server.turnedAway = new Set(copy.turnedAway);
    this.server.history = history;
  }

  /** The job is deleted, and another one begun under its name. */
  private begunAnew(): void {
    for (const client of this.clients)
      for (const values of client.wrote.values()) for (const value of values) this.ofDeleted.add(value);
    this.ofDeleted.delete('0');
    Object.assign(this.server, this.freshJob(this.server.key + 1));
  }

  private choose(index: number, choice: 'yours' | 'theirs'): void {
    const client = this.clients[index] as Client;
    if (choice === 'theirs') {
      // What was here is dropped by choice.
      client.wrote = new Map();
      client.recorded = [];
    }
    this.give(index, { kind: 'choose copy', choice });
  }

  private reopen(index: number): void {
    const client = this.clients[index] as Client;
    // What was laid by for a job that is gone is left alone.
    if (client.key !== this.server.key) {
      Object.assign(client, this.opened());
      return;
    }
    client.open = true;
    client.timer = false;
    client.told = undefined;
    client.state = revive(client.laidBy);
    if (this.continues(hadOf(client.state))) this.give(index, { kind: 'fetched', ask: 0, stored: this.server.stored });
    else this.give(index, this.otherCopy());
    this.give(index, { kind: 'due' });
    this.hearWhere(index);
  }

  /** Everything works again, and nobody does anything any more: what waits is carried out until nothing is under way. */
  comeToRest(): void {
    this.clients.forEach((client, index) => {
      if (client.open) this.hearWhere(index);
      if (!client.open) this.reopen(index);
      if (client.state.dragFrom) this.give(index, { kind: 'end drag' });
    });
    for (let round = 0; round < 1500; round += 1) {
      const message = this.messages.shift();
      if (message) {
        if (!message.answer) this.work(message);
        this.arrive(message);
        continue;
      }
      let moved = false;
      this.clients.forEach((client, index) => {
        if (client.state.otherCopy) {
          moved = true;
          this.choose(index, 'yours');
        }
        if (!client.timer) return;
        client.timer = false;
        moved = true;
        this.give(index, { kind: 'due' });
      });
      if (moved || this.messages.length > 0) continue;
      const { stored, log } = this.server;
      const behind = this.clients.some(
        ({ state }) =>
          state.base.version !== stored.version ||
          state.base.stamp !== stored.stamp ||
          state.seq !== log.length ||
          (state.mark ?? '') !== this.markAt(log.length),
      );
      if (!behind) return;
      this.clients.forEach((_, index) => {
        this.hearWhere(index);
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
        if (!taken && !asked && !still && !this.superseded.has(last)) wrong.push(`${String(last)} of ${field} is lost`);
      }
    }
    // Nothing of a job that was deleted comes into the one that has its name now.
    for (const field of fields)
      if (this.ofDeleted.has(valueAtPath(server.stored.document, pathOf(field))))
        wrong.push(`${field} is of a deleted job`);
    // Whatever the clocks say, what is ticked last, by somebody who has heard everything, stands.
    for (const client of this.clients)
      for (const done of [true, false]) {
        const { steps } = foldEvents([...server.log, this.tick(client, 'last', done)]);
        if ((steps.s ?? false) !== done) wrong.push(`${client.name} cannot ${done ? 'tick' : 'untick'} a step`);
      }
    return wrong;
  }
}

function stampOf({ stamp }: Stored): { stamp?: string } {
  return stamp === undefined ? {} : { stamp };
}
