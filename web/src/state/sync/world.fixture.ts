import { changesBetween, type Job, same, valueAtPath } from '@north-pane/core/document';
import { foldEvents, nextClock, type ShopEvent } from '@north-pane/core/shoplog';
import { hadOf, step } from './machine';
import type { Effect, Input } from './messages';
import {
  add,
  answerOf,
  author,
  continues,
  copyOfServer,
  fields,
  freshJob,
  markAt,
  otherCopy,
  pathOf,
  type Server,
  type Small,
  stampOf,
  troubleIn,
} from './server.fixture';
import { type Entry, goesOn, isSettled, openSync, type Rules, revive, type Sync, unsaved, waits } from './state';

/**
 * Two to seven windows of two browsers, with clocks that are wrong, and a server with two jobs that loses, delays, doubles and reorders what
 * goes between them, that dies between a write and its answer, that is put back to an older copy, and on which a job is deleted and begun
 * again under the same name. Windows are closed and opened again at any moment, and go from one job to the other; what one leaves unsent is
 * sent by the window itself or, once it is closed, by another. A schedule is a list of numbers: each says what happens next.
 */

interface Message {
  from: number;
  /** Of the job that it is meant for. */
  key: number;
  effect: Effect;
  /** The window left that job, or was closed, since. */
  unheard?: boolean;
  /** The answer, once the server has worked on it; `gone` where that job is no more. */
  answer?: Input | 'gone' | undefined;
}

/** A window at one of the jobs: it has two of these, and looks at one. */
interface Client {
  name: string;
  /** Of the window. */
  window: number;
  /** Of the job's name. */
  slot: number;
  browser: number;
  /** ms by which its clock is wrong. */
  skew: number;
  key: number;
  state: Sync;
  /** What the other windows of its browser were told while the server did not answer. */
  told: { document: Job; log: readonly ShopEvent[] } | undefined;
  /** What the browser has persisted: all that is left when the window is closed. */
  persisted: Sync;
  open: boolean;
  /** It is open to send what was left, and looked at by nobody. */
  background: boolean;
  /** The window has looked at this job at some time. */
  visited: boolean;
  /** All of it was sent while its window was closed: nothing is persisted any more. */
  thrownAway?: boolean;
  timer: boolean;
  edits: number;
  /** Values that were set here, by path, in order. */
  wrote: Map<string, unknown[]>;
  /** Values that were asked about, by path. */
  asked: Map<string, Set<unknown>>;
  recorded: string[];
}

export class World {
  readonly servers: [Server, Server];
  readonly clients: Client[];
  /** Which job each window looks at. */
  private readonly at: number[];
  private messages: Message[] = [];
  private events = 0;
  private saves = 0;
  /** What was found to be wrong, in words. */
  readonly wrong: string[] = [];
  counts = { conflicts: 0, refusals: 0, undone: 0, crashes: 0, lost: 0, parted: 0, overheard: 0, moves: 0, drained: 0 };
  private wasPutBack = false;
  /** A copy of the server that it may be put back to. */
  private backup: [Server, Server] | undefined;
  /** Values that another window of the browser may have sent, and overwritten since: its writer is asked about them. */
  private readonly shared = new Set<unknown>();
  /** Values that a window of the same browser was shown and set anew. */
  private readonly superseded = new Set<unknown>();
  /** Values that were set in a job that is deleted. */
  private readonly ofDeleted = new Set<unknown>();

  constructor(windows = 2) {
    this.servers = [freshJob(1), freshJob(1001)];
    this.at = Array.from({ length: windows }, () => 0);
    this.clients = ['abcdefg', 'ABCDEFG'].flatMap((names, slot) =>
      [...names.slice(0, windows)].map((name, window) => ({
        name,
        window,
        slot,
        browser: window % 2,
        skew: (window % 3) * 86_400_000,
        edits: 0,
        ...this.opened(slot),
        open: slot === 0,
        visited: slot === 0,
        background: false,
      })),
    );
  }

  private serverOf({ slot }: { slot: number }): Server {
    return this.servers[slot] as Server;
  }

  /** What a window has that opens the job for the first time. */
  private opened(slot: number) {
    const { key, stored, log } = this.serverOf({ slot });
    const state = openSync(stored, { events: [...log], seq: log.length, mark: markAt(log, log.length) });
    return {
      key,
      state,
      told: undefined,
      persisted: state,
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
      if (effect.kind === 'persist') client.persisted = state;
      else if (effect.kind === 'wait') client.timer = true;
      else this.messages.push({ from: index, key: client.key, effect });
    }
    this.tellWindows(client);
    if (!client.background || (goesOn(client.state) && (client.state.link === 'open' || input.kind === 'due'))) return;
    // It has sent what there was, or cannot: what is left stays persisted.
    this.stop(client);
    if (this.windowIsOpen(client) || !isSettled(client.state)) return;
    client.thrownAway = continues(this.serverOf(client), hadOf(client.state));
  }

  private windowIsOpen({ window }: Client): boolean {
    return this.clients.some((one) => one.window === window && one.open && !one.background);
  }

  /** What is under way for a client reaches the server or not; its answer reaches nobody. */
  private stop(client: Client): void {
    client.open = false;
    client.background = false;
    client.timer = false;
    const index = this.clients.indexOf(client);
    for (const message of this.messages) if (message.from === index) message.unheard = true;
  }

  /** What a window left at a job that it does not look at now is sent, by itself or in its place. */
  private drain(window: number): void {
    const index = this.clients.findIndex((one) => one.window === window && !one.open && one.visited);
    const client = this.clients[index];
    if (!client || !waits(client.persisted) || client.thrownAway) return;
    this.counts.drained += 1;
    Object.assign(client, { open: true, background: true, told: undefined, state: revive(client.persisted) });
    this.give(index, { kind: 'due' });
  }

  /** A window goes from the job that it looks at to the other one. */
  private goToOther(window: number): void {
    const slot = this.at[window] as number;
    const from = this.clients.find((one) => one.window === window && one.slot === slot) as Client;
    if (!from.open || from.background) return;
    this.counts.moves += 1;
    // What has just been set goes off at once.
    this.give(this.clients.indexOf(from), { kind: 'due' });
    this.stop(from);
    this.at[window] = 1 - slot;
    this.reopen(this.clients.findIndex((one) => one.window === window && one.slot === 1 - slot));
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
    const taken = (this.serverOf(client).history.get(field) ?? []).some((value) => same(value, yours));
    if (wrote === 1 && taken && author(yours) === client.name && !this.shared.has(yours))
      this.wrong.push(`${client.name} is asked about ${String(yours)}, which was taken`);
  }

  /** The server works on a message. */
  private work(message: Message): void {
    const server = this.serverOf(this.clients[message.from] as Client);
    const turnedAway = server.turnedAway.size;
    message.answer = message.key === server.key ? answerOf(server, message.effect) : 'gone';
    if (server.turnedAway.size === turnedAway) return;
    this.counts[(message.answer as Input).kind === 'refused' ? 'refusals' : 'conflicts'] += 1;
  }

  /** An answer reaches the window that asked, if that is about the same job still. */
  private arrive({ from, key, answer, unheard }: Message): void {
    const client = this.clients[from] as Client;
    if (client.key !== key || unheard) return;
    if (answer === 'gone') this.leave(client);
    else if (answer) this.give(from, answer);
  }

  /** A window whose job is deleted says so, and is left. What it set is nobody's. */
  private leave(client: Client): void {
    this.stop(client);
  }

  private lose({ from, key, effect, unheard }: Message): void {
    this.counts.lost += 1;
    if (this.clients[from]?.key !== key || unheard) return;
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
    const window = who % this.at.length;
    const index = (this.at[window] as number) * this.at.length + window;
    const client = this.clients[index] as Client;
    const looked = client.open && !client.background;
    const at = this.messages.length > 0 ? which % this.messages.length : -1;
    const message = this.messages[at];
    switch (what % 20) {
      case 0:
      case 1:
      case 2: {
        if (!looked) return;
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
        if (looked) this.give(index, { kind: which % 3 === 0 ? 'redo' : 'undo' });
        return;
      case 4:
        if (looked) this.give(index, { kind: client.state.dragFrom ? 'end drag' : 'begin drag' });
        return;
      case 5: {
        if (!looked) return;
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
          this.stop(client);
        } else if (!looked) this.reopen(index);
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
        if (which < 8) this.backup = [copyOfServer(this.servers[0]), copyOfServer(this.servers[1])];
        else if (which < 12) this.putBack();
        else if (which === 23) this.begunAnew(client.slot);
        return;
      case 18:
        if (which < 8) this.goToOther(window);
        return;
      case 19:
        this.drain(window);
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
    const { key, stored, log } = this.serverOf(client);
    if (client.key === key)
      this.give(index, {
        kind: 'stands',
        version: stored.version,
        ...stampOf(stored),
        seq: log.length,
        mark: markAt(log, log.length),
      });
    else this.leave(client);
  }

  /** The server as it was, with both jobs; what it had taken since was taken, and those who know of it are asked. */
  private putBack(): void {
    const { backup } = this;
    if (!backup?.every(({ key }, slot) => key === this.servers[slot]?.key)) return;
    // It was stopped for that: what was on its way is nobody's.
    for (const message of this.messages.splice(0)) this.lose(message);
    this.wasPutBack = true;
    // What no browser has any more went with the newer copy.
    for (const client of this.clients) if (client.thrownAway) client.recorded = [];
    backup.forEach((copy, slot) => {
      const server = this.serverOf({ slot });
      // What was ever set is remembered, whatever stands now.
      Object.assign(server, { ...copyOfServer(copy), history: server.history });
    });
  }

  /** A job is deleted, and another one begun under its name. */
  private begunAnew(slot: number): void {
    for (const client of this.clients)
      if (client.slot === slot)
        for (const values of client.wrote.values()) for (const value of values) this.ofDeleted.add(value);
    this.ofDeleted.delete('0');
    const server = this.serverOf({ slot });
    Object.assign(server, freshJob(server.key + 1));
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
    const server = this.serverOf(client);
    this.stop(client);
    // What was persisted for a job that is gone is left alone.
    if (client.key !== server.key || !client.visited) {
      Object.assign(client, this.opened(client.slot), { visited: true, thrownAway: false });
      return;
    }
    client.open = true;
    client.told = undefined;
    if (client.thrownAway) {
      const { state } = this.opened(client.slot);
      Object.assign(client, { state, persisted: state, thrownAway: false });
      return;
    }
    client.state = revive(client.persisted);
    if (continues(server, hadOf(client.state))) this.give(index, { kind: 'fetched', ask: 0, stored: server.stored });
    else this.give(index, otherCopy(server));
    this.give(index, { kind: 'due' });
    this.hearWhere(index);
  }

  /** Everything works again, and nobody does anything any more: what waits is carried out until nothing is under way. */
  comeToRest(): void {
    // Every job that a window has looked at is opened once more in a window of its own.
    this.clients.forEach((client, index) => {
      if (!client.visited) return;
      if (client.open && !client.background) this.hearWhere(index);
      if (!client.open || client.background) this.reopen(index);
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
      const behind = this.clients.some((client) => {
        const { stored, log } = this.serverOf(client);
        const { base, seq, mark } = client.state;
        return (
          client.visited &&
          (base.version !== stored.version ||
            base.stamp !== stored.stamp ||
            seq !== log.length ||
            (mark ?? '') !== markAt(log, log.length))
        );
      });
      if (!behind) return;
      this.clients.forEach((client, index) => {
        if (client.visited) this.hearWhere(index);
      });
    }
    this.wrong.push('it never comes to rest');
  }

  /** What must hold once all is at rest. */
  look(): string[] {
    const { wrong } = this;
    for (const client of this.clients) {
      if (!client.visited) continue;
      const { state, name } = client;
      const server = this.serverOf(client);
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
    for (const { stored, log } of this.servers)
      for (const field of fields) {
        const value = valueAtPath(stored.document, pathOf(field));
        if (this.ofDeleted.has(value)) wrong.push(`${field} is of a deleted job`);
        // And nothing of one job into the other.
        const slot = stored === this.servers[0].stored ? 0 : 1;
        if (value !== '0' && !this.clients.some(({ name, slot: of }) => name === author(value) && of === slot))
          wrong.push(`${field} is of the other job`);
        if (log.some(({ device }) => !this.clients.some(({ name, slot: of }) => name === device && of === slot)))
          wrong.push('an event is of the other job');
      }
    // Whatever the clocks say, what is ticked last, by somebody who has heard everything, stands.
    for (const client of this.clients.filter(({ visited }) => visited))
      for (const done of [true, false]) {
        const { steps } = foldEvents([...this.serverOf(client).log, this.tick(client, 'last', done)]);
        if ((steps.s ?? false) !== done) wrong.push(`${client.name} cannot ${done ? 'tick' : 'untick'} a step`);
      }
    return wrong;
  }
}
