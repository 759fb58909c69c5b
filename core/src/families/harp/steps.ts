import { sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck, lengthCheck } from '../kit/checks';
import { step } from '../kit/steps';
import { rowOf } from '../plate/layout';
import { flameBeware, plateSteps } from '../plate/steps';
import type { PlateBuild } from '../plateFamily';
import type { HarpLayout } from './layout';
import type { HarpParameters } from './parameters';
import { headerHoles, pieceLengths } from './parts';

/** Squareness of the bare array: what its two diagonals come to. */
function arrayDiagonal({ headers, runs }: HarpLayout): number {
  const width = (runs[runs.length - 1] ?? 0) - (runs[0] ?? 0);
  return Math.hypot(headers.hot - headers.cold, width);
}

function square(layout: HarpLayout): Step['checks'] {
  const value = arrayDiagonal(layout);
  return [
    {
      id: 'array-diagonals',
      words: `outer risers, header middle to header middle: both diagonals ${sized(value)}, alike to ${sized(0.002)}`,
      expects: { kind: 'length', value, within: 0.002 },
    },
  ];
}

/** Drilled headers: every hole from the middle outward, the outer risers of the second header first. */
function drilled(build: PlateBuild<HarpParameters>, layout: HarpLayout): Step[] {
  const { id: prefix } = build;
  const { parameters, entryLimits } = layout;
  const holes = headerHoles(layout, layout.spans.cold);
  const parts = ['header-cold', 'header-hot'].map((name) => `${prefix}/${name}`);
  return [
    step(prefix, 'drill', {
      name: 'Drill the headers',
      does: [
        'lay both headers side by side, scribe a centre line along each',
        `mark the middle of the row at ${sized(holes.middle)} from the far end, and every hole outward from it on both at once`,
        `punch, then a pilot of ${sized(holes.pilot, true)}, then ${sized(holes.diameter, true)}, the tube in a V-block`,
        'deburr inside and out, shake every chip out',
      ],
      parts,
      needs: ['centre punch', 'drill press and V-block', 'half-round file', 'eye protection'],
      checks: [
        { id: 'alike', words: 'the two headers laid hole on hole: a riser goes through both everywhere' },
        lengthCheck(
          'bore',
          `a riser slides into each hole with no more play than ${sized(0.0003, true)}`,
          0.00015,
          0.00015,
        ),
      ],
      beware: ['A drill grabs thin copper as it breaks through: clamp it, and ease off.'],
      after: ['cut'],
    }),
    step(prefix, 'dry-fit', {
      name: 'Dry fit',
      does: [
        `mark every riser ${sized(parameters.entry)} from each end: the mark stands at the crown of the header`,
        'push all risers into the first header, then the second over them, on a flat floor',
      ],
      parts: [...parts, `${prefix}/riser`],
      checks: [
        {
          id: 'entry',
          words: `entry between ${sized(entryLimits.least, true)}, the least that seals, and ${sized(entryLimits.most, true)}, the most that does not choke`,
          expects: {
            kind: 'length',
            value: parameters.entry,
            within: Math.max(0, Math.min(parameters.entry - entryLimits.least, entryLimits.most - parameters.entry)),
          },
        },
        ...square(layout),
      ],
      after: ['drill'],
    }),
    step(prefix, 'solder-first', {
      name: 'Solder the first header',
      does: [
        'brush ends and holes bright, flux both, and put all of them in',
        'solder from the middle outward, heat on the header, a fillet all round each riser',
      ],
      parts: [`${prefix}/header-cold`, `${prefix}/riser`],
      needs: ['torch', 'wire brush', 'heat mat', 'gloves', 'eye protection'],
      checks: [
        countCheck(
          'fillets',
          `${parameters.riserCount} bright fillets all round, looked at with a mirror, and counted`,
          parameters.riserCount,
        ),
      ],
      beware: flameBeware,
      after: ['dry-fit'],
    }),
    step(prefix, 'solder-second', {
      name: 'Solder the second header',
      does: [
        'the two outer risers first: they hold the rest square',
        'measure both diagonals and push it square while it is warm',
        'then the others, from the middle outward; caps and unions last',
        'wash the flux off, inside too',
      ],
      parts: [`${prefix}/header-hot`],
      needs: ['torch', 'heat mat', 'gloves', 'eye protection'],
      checks: [...square(layout), { id: 'fillets-second', words: 'a bright fillet all round every joint' }],
      beware: flameBeware,
      after: ['solder-first'],
    }),
  ];
}

/** Headers of tees: one dry length decides all the others. */
function ofTees(build: PlateBuild<HarpParameters>, layout: HarpLayout): Step[] {
  const { id: prefix } = build;
  const { tee, parameters } = layout;
  if (!tee) return [];
  const { between } = pieceLengths(layout, tee);
  const parts = ['header-piece', 'header-open', 'header-closed', 'riser'].map((name) => `${prefix}/${name}`);
  return [
    step(prefix, 'dry-fit', {
      name: 'Dry fit two tees',
      does: [
        `cut one piece of ${sized(between)}, push it to the stops of two tees, measure branch to branch`,
        'cut the others by what you measured, all against one stop',
        'lay the whole array dry on a flat floor, every tube to its stop',
      ],
      parts,
      checks: [
        {
          id: 'tee-pitch',
          words: `branch to branch ${sized(parameters.pitch)}`,
          expects: { kind: 'length', value: parameters.pitch, within: 0.0005 },
        },
        ...square(layout),
      ],
      after: ['cut'],
    }),
    step(prefix, 'solder-first', {
      name: 'Solder both headers',
      does: [
        'clean and flux, and put each header together with risers in its branches, unsoldered, to line them up',
        'solder the runs of the tees from one end to the other',
      ],
      parts: parts.slice(0, 3),
      needs: ['torch', 'fitting brush', 'heat mat', 'gloves', 'eye protection'],
      checks: [lengthCheck('line', `a straight edge along all branches: no gap over ${sized(0.001, true)}`, 0, 0.001)],
      beware: flameBeware,
      after: ['dry-fit'],
    }),
    step(prefix, 'solder-second', {
      name: 'Solder the risers in',
      does: [
        'all risers into the first header, soldered from the middle outward',
        'on the second header the two outer risers first: they hold the rest square',
        'then the others; caps and unions last; wash the flux off, inside too',
      ],
      parts: [`${prefix}/riser`],
      needs: ['torch', 'heat mat', 'gloves', 'eye protection'],
      checks: [...square(layout), { id: 'rings', words: 'a bright ring of solder round every socket' }],
      beware: flameBeware,
      after: ['solder-first'],
    }),
  ];
}

export function harpSteps(build: PlateBuild<HarpParameters>, layout: HarpLayout, mass: number): Step[] {
  const { tube, parameters } = layout;
  const { riserCount, pitch, riserClear } = parameters;
  return plateSteps({
    build,
    layout,
    array: layout.tee ? ofTees(build, layout) : drilled(build, layout),
    plateParts: build.absorber.on(rowOf(build, { tube, count: riserCount, pitch, length: riserClear })).parts,
    mass,
    carry: ['a bare array racks like a gate: carry it flat on a board until it lies in its box'],
  });
}
