import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
import type { DrawnViews } from '../family';
import { coverBars, coverGap, coverLabel, coverOutline, coverShapes } from '../kit/cover';
import { detail } from './detail';
import type { LatticeLayout } from './layout';
import { fieldRange } from './parameters';
import { portHole, rimBoltRole } from './pieces';

/** m. Diameter that a bolt head is drawn with. */
const head = 0.009;

function plan(prefix: string, layout: LatticeLayout): Drawing {
  const { parameters, bolts, rimBolts, glazing, ports, boltHole, wool } = layout;
  const { length, width, rim, boltPitch } = parameters;
  const bar = (part: 'rim-long' | 'rim-short', x: number, y: number, along: number, across: number): Shape =>
    shape.rect('rail', { part: `${prefix}/${part}`, x, y, width: along, height: across });
  const broad = layout.rimBar.width;
  const lath = (part: 'lath-long' | 'lath-short', x: number, y: number, along: number, across: number): Shape =>
    shape.rect('timber', { hidden: true, part: `${prefix}/${part}`, x, y, width: along, height: across });
  const hole = (centre: { x: number; y: number }): Shape =>
    shape.circle('hole', centre, boltHole / 2, { part: `${prefix}/front` });
  const bolt = (part: string, centre: { x: number; y: number }): Shape =>
    shape.circle('fixing', centre, head / 2, { part: `${prefix}/${part}` });
  const [corner = { x: rim, y: rim }, far = corner] = ports;
  const first = bolts[0] ?? { x: rim, y: rim };
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      shape.rect('plate', { part: `${prefix}/front`, x: 0, y: 0, width: length, height: width }),
      ...(wool
        ? [
            {
              kind: 'rect' as const,
              layer: 'insulation' as const,
              hidden: true,
              part: `${prefix}/backing`,
              x: rim,
              y: rim,
              width: length - 2 * rim,
              height: width - 2 * rim,
            },
          ]
        : []),
      bar('rim-long', 0, 0, length, broad),
      bar('rim-long', 0, width - broad, length, broad),
      bar('rim-short', 0, broad, broad, width - 2 * broad),
      bar('rim-short', length - broad, broad, broad, width - 2 * broad),
      ...(glazing.cover
        ? ([
            lath('lath-long', 0, 0, length, rim),
            lath('lath-long', 0, width - rim, length, rim),
            lath('lath-short', 0, rim, rim, width - 2 * rim),
            lath('lath-short', length - rim, rim, rim, width - 2 * rim),
          ] satisfies Shape[])
        : []),
      ...bolts.map((at) => bolt('bolt', at)),
      ...rimBolts.map((at) => bolt(rimBoltRole(layout, at), at)),
      ...[...bolts, ...rimBolts].map(hole),
      // Through the back alone.
      ...ports.map(
        (centre): Shape => shape.circle('hole', centre, portHole / 2, { hidden: true, part: `${prefix}/ports` }),
      ),
      ...coverBars(prefix, glazing, length, width),
      ...coverOutline(prefix, glazing, length, width),
      shape.path('note', [
        { x: length + 0.04, y: 0.05 },
        { x: length + 0.15, y: 0.05 },
      ]),
      shape.path('note', [
        { x: length + 0.12, y: 0.066 },
        { x: length + 0.15, y: 0.05 },
        { x: length + 0.12, y: 0.034 },
      ]),
    ],
    dimensions: [
      dim.across('length', 'sheet', { x: 0, y: 0 }, length, { offset: -0.09, edit: fieldRange('length') }),
      dim.up('width', 'sheet', { x: 0, y: 0 }, width, { offset: 0.09, edit: fieldRange('width') }),
      dim.across('bolt-pitch', 'bolt grid, at most', { x: first.x, y: width }, boltPitch, {
        offset: 0.075,
        edit: fieldRange('boltPitch'),
      }),
    ],
    labels: [
      leader('cold in', { x: corner.x, y: -0.012 }, { x: corner.x, y: -0.03 }, { tone: 'cold' }),
      leader('hot out', { x: far.x, y: width + 0.012 }, { x: far.x, y: width + 0.03 }, { anchor: 'end', tone: 'hot' }),
      leader('up', { x: length + 0.095, y: 0.015 }, { x: length + 0.095, y: 0.015 }, { anchor: 'middle' }),
    ],
  };
}

/** Cut through the low edge and three fields, the bow as it is at the foot. */
function section(prefix: string, layout: LatticeLayout): Drawing {
  const { parameters, grid, atFoot, sheet, glazing, rimBar, lathHeight } = layout;
  const { rim, gasket, airGap } = parameters;
  const fields = 3;
  const wool = layout.wool?.thickness ?? 0;
  const thick = Math.max(0.001, sheet.thickness);
  const low = wool;
  const bowAt = (x: number) => (atFoot.bow / 2) * (1 - Math.cos((2 * Math.PI * (x - rim)) / grid.along));
  const xs = Array.from({ length: fields * 16 + 1 }, (_, step) => rim + (step * grid.along) / 16);
  const end = rim + fields * grid.along;
  const face = (side: 1 | -1, over: number): { x: number; y: number }[] =>
    xs.map((x) => ({ x, y: low + thick + gasket / 2 + side * (gasket / 2 + bowAt(x) + over) }));
  const sheetShape = (side: 1 | -1, part: string): Shape =>
    shape.outline('plate', [...face(side, 0), ...face(side, thick).reverse()], { part: `${prefix}/${part}` });
  const top = low + 2 * thick + gasket;
  const middle = low + thick + gasket / 2;
  return {
    title: `Section of ${prefix}`,
    shapes: [
      ...(wool > 0
        ? ([
            shape.rect('insulation', { part: `${prefix}/backing`, x: rim, y: 0, width: end - rim, height: wool }),
          ] as const)
        : []),
      ...[top, low - rimBar.thickness].map(
        (y): Shape =>
          shape.rect('rail', { part: `${prefix}/rim-short`, x: 0, y, width: rim, height: rimBar.thickness }),
      ),
      ...(glazing.cover
        ? [
            {
              kind: 'rect' as const,
              layer: 'timber' as const,
              part: `${prefix}/lath-short`,
              x: 0,
              y: top + rimBar.thickness,
              width: rim,
              height: lathHeight,
            },
          ]
        : []),
      shape.rect('note', { part: `${prefix}/gasket-strip`, x: 0, y: middle - gasket / 2, width: rim, height: gasket }),
      sheetShape(1, 'front'),
      sheetShape(-1, 'back'),
      ...Array.from({ length: fields - 1 }, (_, index): Shape => {
        const x = rim + (index + 1) * grid.along;
        return shape.rect('fixing', {
          ...(layout.bolts.length > 0 ? { part: `${prefix}/bolt` } : {}),
          x: x - 0.0025,
          y: middle - 0.009,
          width: 0.005,
          height: 0.018,
        });
      }),
      ...coverShapes(prefix, glazing, { x: 0, y: top + airGap, width: end }),
    ],
    labels: [
      ...coverLabel(glazing, { x: end, y: top + airGap }),
      leader('front', { x: end, y: top }, { x: end + 0.03, y: top + 0.008 }, { size: sheet.thickness, fine: true }),
      ...(glazing.cover
        ? [
            leader(
              'lath',
              { x: rim / 2, y: top + rimBar.thickness + lathHeight / 2 },
              { x: -0.008, y: top + rimBar.thickness + lathHeight + 0.01 },
              { size: lathHeight, anchor: 'end' as const },
            ),
          ]
        : []),
      leader(
        'rim bar',
        { x: rim / 2, y: low - rimBar.thickness / 2 },
        { x: -0.008, y: low - 0.016 },
        { size: rimBar.thickness, anchor: 'end' },
      ),
      leader(
        'bows each',
        { x: end - grid.along / 2, y: middle },
        { x: end + 0.03, y: middle - 0.006 },
        { size: atFoot.bow, fine: true },
      ),
    ],
    dimensions: [
      dim.between(
        'grid-along',
        'bolt to bolt',
        { x: rim + grid.along, y: Math.min(0, low - 0.012) },
        { x: rim + 2 * grid.along, y: Math.min(0, low - 0.012) },
        { value: grid.along, offset: -0.022 },
      ),
      ...coverGap(glazing, {
        x: rim + grid.along / 2,
        y: top,
        value: airGap,
        label: 'sheet to cover',
        range: fieldRange('airGap'),
      }),
    ],
  };
}

/** The views of a lattice. */
export function latticeViews(prefix: string, layout: LatticeLayout): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: () => plan(prefix, layout) },
    section: { name: 'Section', words: 'cut across', draw: () => section(prefix, layout) },
    detail: { name: 'Full size', words: 'the place that must be right', draw: () => detail(prefix, layout) },
  };
}
