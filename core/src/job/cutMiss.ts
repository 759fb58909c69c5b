import { cutTolerance, type Part } from '../shop';
import { jobShop } from './cutList';
import { editableDimensions, fieldValue, openWith } from './dimension';
import { evaluateOpen, figureChange } from './evaluate';
import type { OpenJob } from './open';

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
  /** Other parts whose size or holes change, with how many of each are made already. */
  others: { name: string; made: number }[];
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
  /** Cut within half a mark of the tape: nothing to do; too long: cut it again by so much; too short: what follows. */
  kind: 'good' | 'long' | 'short';
  /** Money for one more piece; the miscut one serves for a shorter part where it can. */
  recut?: { cost: number; serves?: string };
  /** Designs that take the piece as it is, least trouble first. */
  fits: MissFit[];
}

/**
 * What it means that a piece was cut to `cut` instead of what its part wants: what one more costs, and which dimension would have
 * to move, by how much, for all of them to be cut like it.
 */
export function cutMiss(open: OpenJob, partId: string, cut: number): CutMiss {
  const { parts, plan } = jobShop(open);
  const part = parts.find(({ id }) => id === partId);
  if (part?.kind !== 'length') throw new RangeError(`no piece ${partId} that is cut to length`);
  const { name, length: wanted } = part;
  const base = { part: partId, name, wanted, cut };
  if (Math.abs(cut - wanted) <= cutTolerance) return { ...base, kind: 'good', fits: [] };
  if (cut > wanted) return { ...base, kind: 'long', fits: [] };
  const shorter = parts
    .filter(
      (one) => one.kind === 'length' && one.item === part.item && one.length <= cut + cutTolerance && one !== part,
    )
    .sort((a, b) => (b.kind === 'length' ? b.length : 0) - (a.kind === 'length' ? a.length : 0))[0];
  const again = costWith(open, parts, part, cut, shorter);
  return {
    ...base,
    kind: 'short',
    recut: { cost: again - plan.cost, ...(shorter ? { serves: shorter.name } : {}) },
    fits: fitsOf(open, part, cut),
  };
}

/** Money when the miscut piece comes off a bar too, and serves for a shorter part or for none. */
function costWith(open: OpenJob, parts: readonly Part[], part: Part, cut: number, serves: Part | undefined): number {
  const { purchases } = jobShop(open);
  const miscut = { ...part, id: `${part.id}/miscut`, count: 1, length: cut } as Part;
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

/** m. How far a dimension is moved to see what follows it. */
const probe = 0.001;

function fitsOf(open: OpenJob, part: Part & { kind: 'length' }, cut: number): MissFit[] {
  const { job } = open;
  const index = open.panels.findIndex(({ document }) => part.id.startsWith(`${document.id}/`));
  const panel = open.panels[index];
  if (!panel) return [];
  const now = evaluateOpen(open);
  const before = jobShop(open).parts;
  const fits = editableDimensions(open, index).flatMap(({ edit, label, value }): MissFit[] => {
    const at = (size: number) => openWith(job, index, edit, size);
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
    const change = figureChange(now, evaluateOpen(then));
    if (!change) return [];
    const after = jobShop(then).parts;
    const known = new Set(panel.design.findings.map(({ code }) => code));
    return [
      {
        label,
        path: `panels.${index}.${edit.path}`,
        from: value,
        to,
        value: fieldValue(edit, to),
        ...change,
        others: after.flatMap((one) => {
          const old = before.find(({ id }) => id === one.id);
          const same = old && JSON.stringify(shape(old)) === JSON.stringify(shape(one));
          return one.id === part.id || same ? [] : [{ name: one.name, made: job.decisions.ticks[one.id] ?? 0 }];
        }),
        findings: (then.panels[index]?.design.findings ?? []).flatMap(({ code }) => (known.has(code) ? [] : [code])),
      },
    ];
  });
  const made = (fit: MissFit) => fit.others.reduce((sum, one) => sum + one.made, 0);
  return fits.sort(
    (a, b) =>
      a.findings.length - b.findings.length ||
      made(a) - made(b) ||
      a.others.length - b.others.length ||
      b.heat - a.heat,
  );
}

/** What of a part is marked and cut, to a hundredth of a millimetre. */
function shape(part: Part): unknown {
  const round = (value: number) => Math.round(value * 1e5);
  const size = part.kind === 'length' ? [round(part.length)] : [round(part.width), round(part.height)];
  return [part.count, size, part.holes?.map(({ positions }) => positions.map(round)), part.bends?.positions.map(round)];
}

function lengthOf(open: OpenJob | undefined, part: string): number | undefined {
  const found = open && jobShop(open).parts.find(({ id }) => id === part);
  return found?.kind === 'length' ? found.length : undefined;
}
