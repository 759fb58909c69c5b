import { applyEdits, type Change, sharing } from '@north-pane/core/document';
import { longestMessage, mostEventsSent, type RefusedEvent, type ShopEvent } from '@north-pane/core/shoplog';
import type { Input } from './messages';
import type { Rules, Sync } from './state';

// Steps of the machine that are about what was done in the shop.

/** Events that are not in the log yet. */
export function unheard({ log }: Sync, events: readonly ShopEvent[]): ShopEvent[] {
  const known = new Set(log.map(({ id }) => id));
  return events.filter(({ id }) => !known.has(id));
}

/** Events that are new here: in the log at once, and to be sent. */
export function withEvents(state: Sync, events: readonly ShopEvent[]): Sync {
  const fresh = unheard(state, events);
  return fresh.length === 0
    ? state
    : { ...state, log: [...state.log, ...fresh], outbox: [...state.outbox, ...fresh.map(({ id }) => id)] };
}

/** The server's answer to events that were sent. */
export function logged(state: Sync, input: Extract<Input, { kind: 'logged' }>): Sync {
  const gone = new Set(input.ids);
  const refused = input.refused ?? [];
  const no = new Set(refused.map(({ id }) => id));
  return answered({
    ...state,
    logging: false,
    outbox: state.outbox.filter((id) => !gone.has(id)),
    acknowledged: [...state.acknowledged, ...state.outbox.filter((id) => gone.has(id) && !no.has(id))],
    behind: { ...state.behind, seq: Math.max(state.behind.seq, input.seq) },
    ...(no.size === 0 ? {} : { log: state.log.filter(({ id }) => !no.has(id)), notice: notTaken(state.log, refused) }),
  });
}

/** What is said of things done in the shop that the server did not take. */
function notTaken(log: readonly ShopEvent[], refused: readonly RefusedEvent[]): string {
  const [first] = refused;
  const event = log.find(({ id }) => id === first?.id);
  const what = event ? doneWords[event.kind] : 'something done in the shop';
  const rest = refused.length > 1 ? ` and ${refused.length - 1} more` : '';
  return `The server did not take ${what}${rest}: ${first?.message ?? ''}. It was taken off again; all else was saved.`;
}

const doneWords: Record<ShopEvent['kind'], string> = {
  made: 'a piece that was ticked',
  step: 'a step that was ticked',
  'bar-cut': 'a bar that was cut',
  'sheet-cut': 'a sheet that was cut',
  shelf: 'what came to the shelf or left it',
  checked: 'a check that was ticked',
  acknowledged: 'an answer to a danger',
  spent: 'money spent',
  worked: 'hours worked',
  'taken-back': 'what was taken back',
};

/** What another window has done, as far as it goes with what is set here. Whichever of the two reaches the server first has it sent. */
export function overheard(state: Sync, events: readonly ShopEvent[], changes: readonly Change[], rules: Rules): Sync {
  const { document, laid } = applyEdits(state.document, changes);
  const takes = laid.length > 0 && !state.dragFrom && rules.trouble(document) === undefined;
  const next = withEvents(state, events);
  return takes ? { ...next, document: sharing(state.document, document) } : next;
}

/** Times that the server is asked for what it said it had, before it is believed that it has it no more. */
const mostAsked = 3;

/** An answer that falls short of what was heard of. */
export function short(state: Sync, there: Sync['behind'], tries: number): Sync {
  return tries + 1 < mostAsked ? { ...state, tries: tries + 1 } : { ...state, behind: there };
}

/** More of the log. What the server had acknowledged and does not have any more is sent again. */
export function heard(state: Sync, input: Extract<Input, { kind: 'heard' }>): Sync {
  if (input.ask !== state.hearing) return state;
  const fresh = unheard(state, input.events);
  const there = new Set(input.events.map(({ id }) => id));
  const seq = Math.max(state.seq, input.seq);
  const rest = (ids: readonly string[]) => (ids.some((id) => there.has(id)) ? ids.filter((id) => !there.has(id)) : ids);
  const missing = input.more ? [] : rest(state.expected);
  const gone = new Set(missing);
  const behind = { ...state.behind, seq: Math.max(state.behind.seq, input.more ? input.seq + 1 : input.seq) };
  const done = answered({
    ...state,
    hearing: 0,
    seq,
    ...(seq === input.seq && input.mark !== undefined ? { mark: input.mark } : {}),
    behind,
    log: fresh.length > 0 ? [...state.log, ...fresh] : state.log,
    outbox: missing.length > 0 ? [...rest(state.outbox), ...missing] : rest(state.outbox),
    acknowledged:
      missing.length > 0 ? rest(state.acknowledged).filter((id) => !gone.has(id)) : rest(state.acknowledged),
    expected: input.more ? rest(state.expected) : [],
  });
  return !input.more && behind.seq > seq ? short(done, { version: behind.version, seq }, state.tries) : done;
}

/** The first events that wait, as many as fit into one message. */
export function firstMessage({ outbox, log }: Sync): ShopEvent[] {
  const pending = new Set(outbox);
  const events: ShopEvent[] = [];
  // Room is left for what stands about them.
  let room = longestMessage * 900_000;
  for (const event of log) {
    if (!pending.has(event.id)) continue;
    room -= new TextEncoder().encode(JSON.stringify(event)).length;
    if (events.length > 0 && (room < 0 || events.length >= mostEventsSent)) break;
    events.push(event);
  }
  return events;
}

/** The server answered. */
export function answered(state: Sync): Sync {
  return state.link === 'open' && state.tries === 0 ? state : { ...state, link: 'open', tries: 0 };
}

/** How far the log was heard. */
export function heardUpTo({ seq, mark }: Sync): { after: number; mark?: string } {
  return { after: seq, ...(mark === undefined ? {} : { mark }) };
}
