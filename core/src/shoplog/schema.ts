import * as z from 'zod';
import { issueWords } from '../care';

/** Events in one message: a device sends no more at once, and a server takes no more. */
export const mostEventsSent = 500;
/** Megabytes of one message. */
export const longestMessage = 2;
/** Bytes of one event as JSON, at most: a bar of 500 pieces fits. */
export const longestEvent = 200_000;
/** Letters of the id of a part, a step or a line of the shelf. */
const longestPartId = 160;

/** A random one of the device, or the role of what a version-1 document had: that is as long as a part's id and a word before it. */
const id = z.string().min(1).max(200);
const thing = z.string().min(1).max(longestPartId);
const metres = z.number().gt(0, 'must be above 0').max(100, 'must be at most 100 m');
const money = z.number().min(-1e6, 'at most 1 000 000').max(1e6, 'at most 1 000 000');
const note = z.string().trim().min(1, 'say what for').max(200, 'at most 200 characters');
/** How many more are made, or fewer: it was said of one too many. */
const more = z.int().min(-9999).max(9999);
const length = { length: metres };
const area = { width: metres, height: metres };

const bar = {
  item: thing,
  stock: thing,
  price: z.number().min(0).max(1e6),
  onHand: z.boolean(),
  /** How many cuts like it the device knew of: two devices that make the same cut with the same number cut one bar. */
  ordinal: z.int().min(0).max(9999).optional(),
};
/** Pieces that a cut makes, by part id: those that ride along in a ripped blank are counted too. */
const makes = z.record(thing, z.int().min(1).max(9999));
const placed = z.strictObject({
  id: thing,
  x: z.number().min(0).max(100),
  y: z.number().min(0).max(100),
  ...area,
  turned: z.boolean(),
});

/** What happened in the shop, by its kind. */
const happened = [
  /** Pieces made by hand, or said to be. */
  z.strictObject({ kind: z.literal('made'), part: thing, count: more }),
  /** A step of the build done, or not done after all. */
  z.strictObject({ kind: z.literal('step'), step: thing, done: z.boolean() }),
  /** A bar cut: the pieces as they were cut, what it made and the offcuts that went on the shelf. */
  z.strictObject({
    kind: z.literal('bar-cut'),
    ...bar,
    ...length,
    pieces: z
      .array(z.strictObject({ part: thing, length: metres }))
      .min(1)
      .max(500),
    makes,
    rests: z.array(z.strictObject(length)).max(10),
  }),
  /** A sheet cut. */
  z.strictObject({
    kind: z.literal('sheet-cut'),
    ...bar,
    ...area,
    placed: z.array(placed).min(1).max(500),
    makes,
    rests: z.array(z.strictObject(area)).max(50),
  }),
  /** Things that came to the shelf or left it, otherwise than by a cut. */
  z.strictObject({
    kind: z.literal('shelf'),
    what: z.enum(['taken', 'returned']),
    item: thing,
    count: z.int().min(0).max(999),
    length: metres.optional(),
    width: metres.optional(),
    height: metres.optional(),
  }),
  /** Something looked at before the saw and found right as it was then; `null`: to be looked at again. */
  z.strictObject({ kind: z.literal('checked'), check: thing, value: z.string().max(200).nullable() }),
  /** A caution read and answered for, with what its reader wrote under it. */
  z.strictObject({
    kind: z.literal('acknowledged'),
    caution: thing,
    done: z.boolean(),
    /** The heater or the field that the danger is of. */
    about: thing.optional(),
    /** How bad it was: it holds for nothing worse. */
    measure: z.number().optional(),
    words: z.string().trim().max(200).optional(),
  }),
  z.strictObject({ kind: z.literal('spent'), money, note }),
  z.strictObject({ kind: z.literal('worked'), hours: z.number().min(-1000).max(1000), note }),
  /** An event was a mistake: it counts as if it had not been. */
  z.strictObject({ kind: z.literal('taken-back'), event: id }),
] as const;

const stamp = {
  /** Made by the device that it happened on: sent twice, it is there once. */
  id,
  at: z.iso
    .datetime('a time is written like 2026-05-01T12:00:00Z')
    .refine((text) => Date.parse(text) >= 0, 'a time is since 1970'),
  /** ms, by which events are in order: the device's clock, or one more than the highest that it has heard of. Left out by older devices. */
  clock: z.int().min(0).max(Number.MAX_SAFE_INTEGER).optional(),
  device: z.string().min(1).max(80),
};

export const eventSchema = z.discriminatedUnion(
  'kind',
  happened.map((one) => one.extend(stamp)) as unknown as [(typeof happened)[number], ...(typeof happened)[number][]],
);

/** What happened in the shop, without when and where. */
export type Happened = z.infer<(typeof happened)[number]>;
/** What happened in the shop: appended, never changed. SI; money in the job's currency. */
export type ShopEvent = Happened & { id: string; at: string; clock?: number; device: string };

export type ParsedEvents =
  | { ok: true; events: ShopEvent[] }
  | { ok: false; errors: { path: string; message: string }[] };

/** Reads events from anything; each that is none is named with what is wrong. */
export function parseEvents(input: unknown): ParsedEvents {
  const parsed = z.array(eventSchema).safeParse(input, { error: issueWords });
  if (parsed.success) return { ok: true, events: parsed.data as ShopEvent[] };
  return {
    ok: false,
    errors: parsed.error.issues.map(({ path, message }) => ({ path: path.map(String).join('.'), message })),
  };
}

/** An event that is none, with its place in what was sent. */
export interface RefusedEvent {
  /** As far as it can be read. */
  id: string;
  index: number;
  path: string;
  message: string;
}

/** Sorts what was sent into events and what is none: one that is refused keeps no other out. */
export function sortEvents(input: readonly unknown[]): { taken: ShopEvent[]; refused: RefusedEvent[] } {
  const taken: ShopEvent[] = [];
  const refused: RefusedEvent[] = [];
  input.forEach((one, index) => {
    const named = (one as { id?: unknown } | null)?.id;
    const id = typeof named === 'string' ? named.slice(0, 200) : '';
    const parsed = eventSchema.safeParse(one, { error: issueWords });
    const [issue] = parsed.error?.issues ?? [];
    if (issue) refused.push({ id, index, path: issue.path.map(String).join('.'), message: issue.message });
    else if (JSON.stringify(one).length > longestEvent)
      refused.push({ id, index, path: '', message: 'it is too long for one event' });
    else taken.push(parsed.data as ShopEvent);
  });
  return { taken, refused };
}
