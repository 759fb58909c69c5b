import type { Edit } from '../draw';
import { type Family, families } from '../families';
import { evaluateWithCost, figureChange } from '../figures';
import type { OpenJob } from '../job';
import { editableDimensions, fieldValue, jobShop, openWith } from '../job';
import { sized } from '../quantity';
import { cutTolerance, type Part, type Purchase } from '../shop';

/** Something else that a way out changes: words with lengths by `sized`, and how many of it are made already. */
export interface MissChange {
  name: string;
  words: string;
  made: number;
}

/** A design in which the piece is right as it was cut. */
export interface MissFit {
  /** Dimension that moves, and where it stands in the job. */
  label: string;
  path: string;
  /** m on the drawing, now and then; and the parameter then. */
  from: number;
  to: number;
  value: number;
  /** W and money, against the design as it is. */
  heat: number;
  cost: number;
  /** Every other part that is made otherwise, and everything that is bought otherwise. */
  others: MissChange[];
  bought: MissChange[];
  /** Cautions and clashes that it brings with it. */
  findings: string[];
}

/** What a piece cut to another length than wanted means for the rest. */
export interface CutMiss {
  part: string;
  name: string;
  /** m. */
  wanted: number;
  cut: number;
  /**
   * Cut within half a mark of the tape: nothing to do; within what its place forgives: good enough, and why; too long: cut it again by so
   * much; too short: what follows.
   */
  kind: 'good' | 'slack' | 'long' | 'short';
  /** Why a piece with slack does no harm. */
  slack?: string;
  /** Money for one more piece; the miscut one serves for a shorter part where it can. */
  recut?: { cost: number; serves?: string };
  /** Designs that take the piece as it is, least trouble first. */
  fits: MissFit[];
}

/**
 * What it means that a piece was cut to `cut` instead of what its part wants: what one more costs, and which dimension would have
 * to move, by how much, for all of them to be cut like it. The pane is bought and never made smaller.
 */
export function cutMiss(open: OpenJob, partId: string, cut: number): CutMiss {
  const { parts, plan } = jobShop(open);
  const part = parts.find(({ id }) => id === partId);
  if (part?.kind !== 'length') throw new RangeError(`no piece ${partId} that is cut to length`);
  const { name, length: wanted, slack } = part;
  const base = { part: partId, name, wanted, cut };
  if (Math.abs(cut - wanted) <= cutTolerance) return { ...base, kind: 'good', fits: [] };
  const off = cut - wanted;
  if (slack && -off <= slack.short + 1e-9 && off <= slack.long + 1e-9)
    return { ...base, kind: 'slack', slack: slack.words, fits: [] };
  if (off > 0) return { ...base, kind: 'long', fits: [] };
  const shorter = parts
    .filter((one) => servesFor(one, part, cut))
    .sort((a, b) => (b.kind === 'length' ? b.length : 0) - (a.kind === 'length' ? a.length : 0))[0];
  const again = costWith(open, parts, part, cut, shorter);
  return {
    ...base,
    kind: 'short',
    recut: { cost: again - plan.cost, ...(shorter ? { serves: shorter.name } : {}) },
    fits: fitsOf(open, part, cut),
  };
}

/** Whether a piece that is spoiled for its part can be cut down to another one: of one stuff and section, and nothing drilled in it. */
function servesFor(one: Part, spoiled: Part & { kind: 'length' }, cut: number): boolean {
  if (one.kind !== 'length' || one === spoiled || one.item !== spoiled.item) return false;
  const [a, b] = [one.section, spoiled.section];
  return (
    one.length <= cut + cutTolerance &&
    (a?.width ?? 0) === (b?.width ?? 0) &&
    (a?.thickness ?? 0) === (b?.thickness ?? 0)
  );
}

/** Money when the miscut piece comes off a bar too, and serves for a shorter part or for none. */
function costWith(
  open: OpenJob,
  parts: readonly Part[],
  part: Part & { kind: 'length' },
  cut: number,
  serves: Part | undefined,
): number {
  const { purchases } = jobShop(open);
  const miscut: Part = { ...part, id: `${part.id}/miscut`, count: 1, length: cut };
  const list = [
    ...parts.map((one) => (one === serves ? { ...one, count: one.count - 1 } : one)).filter(({ count }) => count > 0),
    miscut,
  ];
  return jobShop(open, { parts: list, purchases }).plan.cost;
}

/** Times longer or shorter than wanted beyond which a number is a slip of the pen and no cut. Judgement. */
const slip = 3;

/** Whether a length that is said to have been cut is so far from what was wanted that the tape was misread. */
export function isSlip(wanted: number, cut: number): boolean {
  return cut > slip * wanted || cut < wanted / slip;
}

/** m. How far a field is moved to see what follows it. */
const probe = 0.001;

/** Fields whose place has room by nature: what stands out, what ends free, how far a tube goes in. They are asked first. */
const yielding = ['stub', 'farStub', 'closedEnd', 'entry'];

function yields(path: string): number {
  return yielding.includes(path.split('.').pop() ?? '') ? 0 : 1;
}

/** Every length of a panel that may move: its drawn dimensions and its other fields. No size of what is bought as it is, a pane or a tank, is among them. */
function movable(open: OpenJob, index: number): { label: string; value: number; edit: Edit }[] {
  const panel = open.panels[index];
  if (!panel) return [];
  const family: Family = families[panel.document.family as keyof typeof families];
  const all = family.fields(panel.document);
  const bought = new Set(all.filter(({ meta }) => meta.bought).map(({ path }) => path));
  const asItIs = (path: string) => path.startsWith('glazing.') || bought.has(path);
  const drawn = editableDimensions(open, index)
    .filter(({ edit }) => !asItIs(edit.path))
    .map(({ label, value, edit }) => ({ label, value, edit }));
  const known = new Set(drawn.map(({ edit }) => edit.path));
  const fields = all.flatMap(({ path, value, meta }) =>
    meta.kind === 'length' && typeof value === 'number' && !known.has(path) && !asItIs(path)
      ? [
          {
            label: meta.label.toLowerCase(),
            value,
            edit: {
              path,
              low: meta.low ?? 0,
              high: meta.high ?? value,
              scale: 1,
              offset: 0,
              lowReason: '',
              highReason: '',
            },
          },
        ]
      : [],
  );
  return [...drawn, ...fields];
}

function fitsOf(open: OpenJob, part: Part & { kind: 'length' }, cut: number): MissFit[] {
  const index = open.panels.findIndex(({ document }) => part.id.startsWith(`${document.id}/`));
  const panel = open.panels[index];
  if (!panel) return [];
  const now = evaluateWithCost(open);
  const before = jobShop(open);
  const ordered = paneSizes(before.purchases);
  const fits = movable(open, index).flatMap(({ edit, label, value }): MissFit[] => {
    const at = (size: number) => openWith(open, index, edit, size);
    const lengthAt = (size: number) => lengthOf(at(size), part.id);
    const step = value + probe <= edit.high ? probe : -probe;
    const moved = lengthAt(value + step);
    const slope = moved === undefined ? 0 : (moved - part.length) / step;
    if (Math.abs(slope) < 0.05) return [];
    const to = value + (cut - part.length) / slope;
    if (to < edit.low - 1e-9 || to > edit.high + 1e-9) return [];
    const then = at(to);
    const reached = lengthOf(then, part.id);
    if (!then || reached === undefined || Math.abs(reached - cut) > cutTolerance) return [];
    const change = figureChange(now, evaluateWithCost(then));
    if (!change) return [];
    const after = jobShop(then);
    if (paneSizes(after.purchases) !== ordered) return [];
    const known = new Set(panel.design.findings.map(({ code }) => code));
    return [
      {
        label,
        path: `${panel.path}.${edit.path}`,
        from: value,
        to,
        value: fieldValue(edit, to),
        ...change,
        others: partChanges(before.parts, after.parts, open.state.made).filter(({ id }) => id !== part.id),
        bought: boughtChanges(before.purchases, after.purchases),
        findings: (then.panels[index]?.design.findings ?? []).flatMap(({ code }) => (known.has(code) ? [] : [code])),
      },
    ];
  });
  const made = (fit: MissFit) => fit.others.reduce((sum, one) => sum + one.made, 0);
  return fits.sort(
    (a, b) =>
      a.findings.length - b.findings.length ||
      made(a) - made(b) ||
      yields(a.path) - yields(b.path) ||
      a.others.length - b.others.length ||
      Math.max(0, a.cost) - Math.max(0, b.cost) ||
      a.bought.length - b.bought.length ||
      b.heat - a.heat,
  );
}

/** Sizes that panes are ordered at, as a key. */
function paneSizes(purchases: readonly Purchase[]): string {
  return JSON.stringify(
    purchases.flatMap(({ id, size }) =>
      id.endsWith('/pane') && size && 'height' in size ? [[id, mark(size.height), mark(size.width)]] : [],
    ),
  );
}

/** Hundredths of a millimetre. */
function mark(metres: number): number {
  return Math.round(metres * 1e5);
}

/** Everything that is made otherwise, each with what of it: parts that change, come and go. */
function partChanges(
  before: readonly Part[],
  after: readonly Part[],
  ticks: Readonly<Record<string, number>>,
): (MissChange & { id: string })[] {
  const changed = (id: string, name: string, words: string) => ({ id, name, words, made: ticks[id] ?? 0 });
  return [
    ...after.flatMap((one) => {
      const old = before.find(({ id }) => id === one.id);
      if (!old) return [changed(one.id, one.name, 'comes to the list')];
      const words = differences(old, one);
      return words.length > 0 ? [changed(one.id, one.name, words.join(', '))] : [];
    }),
    ...before
      .filter(({ id }) => !after.some((one) => one.id === id))
      .map(({ id, name }) => changed(id, name, 'is wanted no more')),
  ];
}

/** In what two states of one part differ, a few words each. */
function differences(old: Part, now: Part): string[] {
  const size = (part: Part) => (part.kind === 'length' ? [part.length] : [part.height, part.width]);
  const say = (part: Part) =>
    size(part)
      .map((one) => sized(one, true))
      .join(' × ');
  const differs = (of: (part: Part) => unknown) =>
    JSON.stringify(of(old), rounded) !== JSON.stringify(of(now), rounded);
  return [
    ...(differs(size) ? [`${say(old)} to ${say(now)}`] : []),
    ...(old.count === now.count ? [] : [`${old.count} to ${now.count} of them`]),
    ...(differs((part) => (part.kind === 'length' ? [part.section, part.flanges] : [])) ? ['another section'] : []),
    ...(differs(({ holes }) => holes) ? ['its holes move'] : []),
    ...(differs(({ recesses }) => recesses) ? ['its rebates and notches move'] : []),
    ...(differs(({ ends }) => ends) ? ['its ends are cut otherwise'] : []),
    ...(differs(({ bends }) => bends) ? ['its bend lines move'] : []),
  ];
}

function rounded(_: string, value: unknown): unknown {
  return typeof value === 'number' ? mark(value) : value;
}

/** Hundredths by which an amount may differ and be bought as before. */
const sameAmount = 0.01;

/** Everything that is bought otherwise: counted things by one, measured ones by a hundredth. */
function boughtChanges(before: readonly Purchase[], after: readonly Purchase[]): MissChange[] {
  return after.flatMap((one): MissChange[] => {
    const old = before.find(({ id }) => id === one.id);
    if (!old) return [{ name: one.name, words: 'comes to the list', made: 0 }];
    if (one.name !== old.name) return [{ name: old.name, words: `becomes ${one.name}`, made: 0 }];
    const off = Math.abs(one.quantity - old.quantity);
    const differs =
      one.unit === 'each'
        ? Math.ceil(one.quantity - 1e-9) !== Math.ceil(old.quantity - 1e-9)
        : off > sameAmount * old.quantity;
    return differs
      ? [{ name: one.name, words: one.quantity > old.quantity ? 'more of it' : 'less of it', made: 0 }]
      : [];
  });
}

function lengthOf(open: OpenJob | undefined, part: string): number | undefined {
  const found = open && jobShop(open).parts.find(({ id }) => id === part);
  return found?.kind === 'length' ? found.length : undefined;
}
