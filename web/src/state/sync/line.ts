import type { Change } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { create } from 'zustand';

/** What windows of this browser hear: from the server, by the one window that listens to it, and from each other. */
export type Message =
  | { kind: 'stands'; id: string; key: string; version: number; stamp: string; seq: number; mark: string }
  | { kind: 'gone'; id: string }
  /** Nobody knows what was missed: each asks where its own job stands. */
  | { kind: 'missed' }
  | { kind: 'line'; open: boolean }
  /** Another window has had something of a job saved. */
  | { kind: 'saved elsewhere'; id: string }
  /** What another window has done while the server does not answer. */
  | { kind: 'done elsewhere'; key: string; events: readonly ShopEvent[]; changes: readonly Change[] };

/** Whether the line to the server is open: what other screens do is heard on it. */
export const useLine = create<{ open: boolean }>()(() => ({ open: true }));

const hearers = new Set<(message: Message) => void>();
let channel: BroadcastChannel | undefined;
let begun = false;

/** Hears what is said, for as long as it is not stopped. */
export function listen(hear: (message: Message) => void): () => void {
  begin();
  hearers.add(hear);
  return () => {
    hearers.delete(hear);
  };
}

/** Says something to the other windows of this browser. */
export function say(message: Message): void {
  begin();
  channel?.postMessage(message);
}

function hearHere(message: Message): void {
  if (message.kind === 'line') useLine.setState({ open: message.open });
  if (message.kind === 'missed') choreOfAll();
  for (const hear of hearers) hear(message);
}

/** Says something here and in the other windows. */
function sayToAll(message: Message): void {
  say(message);
  hearHere(message);
}

/** What the window that listens to the server has to do besides, each time the line opens and now and then. */
let chore: () => void = () => {};
/** What every window has to do then. */
let choreOfAll: () => void = () => {};

export function whileListening(work: () => void): void {
  chore = work;
}

export function eachRound(work: () => void): void {
  choreOfAll = work;
}

/** ms between two rounds of that. */
const round = 20_000;

function begin(): void {
  if (begun) return;
  begun = true;
  if (typeof BroadcastChannel !== 'undefined') {
    channel = new BroadcastChannel('north-pane');
    channel.onmessage = ({ data }: MessageEvent<Message>) => hearHere(data);
  }
  window.setInterval(() => choreOfAll(), round);
  const keep = () => {
    keepLine();
    window.setInterval(chore, round);
    return new Promise<never>(() => {});
  };
  // One window of a browser holds the line; when it is closed, another takes its place.
  if (navigator.locks) void navigator.locks.request('north-pane line', keep);
  else void keep();
}

/** ms before the first try after a line that was closed for good; each further one twice as long. */
const firstRetry = 1000;
const longestRetry = 30_000;

/** Holds the line to the server, and opens it again whenever it is closed. */
function keepLine(): void {
  let tries = 0;
  const open = () => {
    const source = new EventSource('/api/stream');
    const read = (event: Event): object => {
      try {
        return JSON.parse((event as MessageEvent<string>).data) as object;
      } catch {
        return {};
      }
    };
    source.addEventListener('missed', () => {
      tries = 0;
      sayToAll({ kind: 'line', open: true });
      sayToAll({ kind: 'missed' });
      chore();
    });
    source.addEventListener('stands', (event) => {
      const told = read(event) as Partial<Extract<Message, { kind: 'stands' }>>;
      const { id, key, version, stamp, seq, mark } = told;
      if (id && key && version !== undefined && stamp && seq !== undefined && mark !== undefined)
        sayToAll({ kind: 'stands', id, key, version, stamp, seq, mark });
    });
    source.addEventListener('gone', (event) => {
      const { id } = read(event) as { id?: string };
      if (id !== undefined) sayToAll({ kind: 'gone', id });
    });
    source.addEventListener('error', () => {
      sayToAll({ kind: 'line', open: false });
      // A line that breaks is opened again by the browser; one that was answered with an error is not.
      if (source.readyState !== EventSource.CLOSED) return;
      window.setTimeout(open, Math.min(longestRetry, firstRetry * 2 ** tries));
      tries += 1;
    });
  };
  open();
}
