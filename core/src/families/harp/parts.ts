import { materials } from '../../catalogue';
import { fluidState } from '../../heat';
import type { HoleSchedule, Part, Purchase } from '../../shop';
import { tubeMass } from '../../shop';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, rowOf, type Span, spanLength } from './layout';
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
  const { riserTube, headerTube, riserCut, box, parameters } = layout;
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
  const plate = build.absorber.on(rowOf(build, riserTube));
  const joints = 2 * parameters.riserCount;
  const solder = joints * (fillet ** 2 / 2) * Math.PI * riserTube.outerDiameter * solderDensity;
  const paintArea = plateArea(layout) + 2 * box.inside.width * headerTube.outerDiameter;
  return {
    parts: [
      {
        id: `${prefix}/riser`,
        name: 'Riser',
        item: riserTube.id,
        kind: 'length',
        stuff: 'tube',
        length: riserCut,
        count: parameters.riserCount,
        operations: ['square and ream both ends', 'clean both ends bright, a little past the entry'],
        mass: tubeMass(riserTube) * riserCut,
      },
      header('cold'),
      header('hot'),
      ...plate.parts,
      ...box.parts({ prefix, railDepth: layout.railDepth, exits: layout.exits }),
    ],
    purchases: [
      ...build.glazing.purchases(prefix),
      ...bought(prefix, 'caps', 'End caps for the headers', 2, 'each', 'cap', 'one a closed end', 0.06),
      ...bought(prefix, 'unions', 'Unions for the headers', 2, 'each', 'union', 'one a way out', 0.3),
      ...bought(
        prefix,
        'joint-solder',
        'Solder for the joints',
        solder,
        'kg',
        'solder',
        `a 3 mm fillet round ${joints} riser joints`,
        solder,
      ),
      ...bought(prefix, 'flux', 'Flux', joints * 0.002, 'kg', 'flux', '2 g a joint', 0),
      ...bought(
        prefix,
        'black',
        'Flat black paint',
        (2 * paintArea) / 10,
        'L',
        'paint',
        'two coats, 10 m² to the litre',
        0.2,
      ),
      ...plate.purchases,
      ...box.purchases(prefix),
    ],
  };
}

function bought(
  prefix: string,
  id: string,
  name: string,
  quantity: number,
  unit: Purchase['unit'],
  priceKey: string,
  rule: string,
  mass: number,
): Purchase[] {
  return [{ id: `${prefix}/${id}`, name, quantity, unit, priceKey, rule, mass }];
}

/** Holes from the closed end, the tape hooked there, and the middle of the row called out. */
export function headerHoles(layout: HarpLayout, span: Span): HoleSchedule {
  const positions = layout.risers.map((y) => Math.abs(y - span.closed)).sort((a, b) => a - b);
  const first = positions[0] ?? 0;
  const last = positions[positions.length - 1] ?? 0;
  return {
    datum: 'closed end',
    middle: (first + last) / 2,
    positions,
    // A sliding fit on the riser: solder fills a tenth, not a half, of a millimetre.
    diameter: layout.riserTube.outerDiameter + 0.0002,
    pilot: 0.003,
    where: 'on the scribed centre line',
  };
}

/** m² of plate. */
export function plateArea(layout: HarpLayout): number {
  return layout.finWidth * layout.parameters.riserCount * layout.parameters.riserClear;
}

/** J/K of the tubes. */
export function tubeHeatCapacity(layout: HarpLayout): number {
  const copper =
    tubeMass(layout.riserTube) * layout.riserCut * layout.parameters.riserCount +
    tubeMass(layout.headerTube) * (spanLength(layout.spans.cold) + spanLength(layout.spans.hot));
  return copper * materials.copper.heatCapacity;
}

/** J/K of so many m³ of water. */
export function waterHeatCapacity(volume: number): number {
  const water = fluidState('water', 30);
  return volume * water.density * water.heatCapacity;
}
