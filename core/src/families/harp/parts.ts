import type { HoleSchedule, Part, Purchase } from '../../shop';
import { tubeMass } from '../../shop';
import { blackPaint, bought } from '../plate/design';
import { hotSpace, rowOf } from '../plate/layout';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, type Span, spanLength } from './layout';
import type { HarpParameters } from './parameters';

/** m. Leg of the fillet round a riser joint. */
const fillet = 0.003;
/** kg/m³. */
const solderDensity = 7400;

export function harpParts(
  build: PlateBuild<HarpParameters>,
  layout: HarpLayout,
): { parts: Part[]; purchases: Purchase[] } {
  const { id: prefix } = build;
  const { tube, headerTube, riserCut, box, parameters } = layout;
  const { riserCount, pitch, riserClear } = parameters;
  const header = (which: 'cold' | 'hot'): Part => {
    const span = layout.spans[which];
    const length = spanLength(span);
    return {
      id: `${prefix}/header-${which}`,
      name: which === 'cold' ? 'Header, cold' : 'Header, hot',
      item: headerTube.id,
      kind: 'length',
      stuff: 'tube',
      length,
      count: 1,
      operations: ['square and ream both ends', 'scribe a centre line'],
      holes: headerHoles(layout, span),
      mass: tubeMass(headerTube) * length,
    };
  };
  const plate = build.absorber.on(rowOf(build, { tube, count: riserCount, pitch, length: riserClear }));
  const joints = 2 * riserCount;
  const solder = joints * (fillet ** 2 / 2) * Math.PI * tube.outerDiameter * solderDensity;
  const paintArea = layout.finWidth * riserCount * riserClear + 2 * box.inside.width * headerTube.outerDiameter;
  const each = { quantity: 2, unit: 'each' } as const;
  return {
    parts: [
      {
        id: `${prefix}/riser`,
        name: 'Riser',
        item: tube.id,
        kind: 'length',
        stuff: 'tube',
        length: riserCut,
        count: riserCount,
        operations: ['square and ream both ends', 'clean both ends bright, a little past the entry'],
        mass: tubeMass(tube) * riserCut,
      },
      header('cold'),
      header('hot'),
      ...plate.parts,
      ...box.parts({ prefix, railDepth: layout.railDepth, exits: layout.exits, hotSpace: hotSpace(layout) }),
    ],
    purchases: [
      ...build.glazing.purchases(prefix),
      bought(prefix, {
        id: 'caps',
        name: 'End caps for the headers',
        ...each,
        priceKey: 'cap',
        rule: 'one a closed end',
        mass: 0.06,
      }),
      bought(prefix, {
        id: 'unions',
        name: 'Unions for the headers',
        ...each,
        priceKey: 'union',
        rule: 'one a way out',
        mass: 0.3,
      }),
      bought(prefix, {
        id: 'joint-solder',
        name: 'Solder for the joints',
        quantity: solder,
        unit: 'kg',
        priceKey: 'solder',
        rule: `a 3 mm fillet round ${joints} riser joints`,
        mass: solder,
      }),
      bought(prefix, {
        id: 'flux',
        name: 'Flux',
        quantity: joints * 0.002,
        unit: 'kg',
        priceKey: 'flux',
        rule: '2 g a joint',
        mass: 0,
      }),
      blackPaint(prefix, paintArea),
      ...plate.purchases,
      ...box.purchases(prefix),
    ],
  };
}

/** Holes from the closed end, the tape hooked there, and the middle of the row called out. */
export function headerHoles(layout: HarpLayout, span: Span): HoleSchedule {
  const positions = layout.runs.map((y) => Math.abs(y - span.closed)).sort((a, b) => a - b);
  const first = positions[0] ?? 0;
  const last = positions[positions.length - 1] ?? 0;
  return {
    datum: 'closed end',
    middle: (first + last) / 2,
    positions,
    // A sliding fit on the riser: solder fills a tenth, not a half, of a millimetre.
    diameter: layout.tube.outerDiameter + 0.0002,
    pilot: 0.003,
    where: 'on the scribed centre line',
  };
}
