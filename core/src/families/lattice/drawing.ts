import type { Drawing, Shape } from '../../draw';
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
  const bar = (part: 'rim-long' | 'rim-short', x: number, y: number, along: number, across: number): Shape => ({
    kind: 'rect',
    layer: 'rail',
    part: `${prefix}/${part}`,
    x,
    y,
    width: along,
    height: across,
  });
  const broad = layout.rimBar.width;
  const lath = (part: 'lath-long' | 'lath-short', x: number, y: number, along: number, across: number): Shape => ({
    kind: 'rect',
    layer: 'timber',
    hidden: true,
    part: `${prefix}/${part}`,
    x,
    y,
    width: along,
    height: across,
  });
  const hole = (centre: { x: number; y: number }): Shape => ({
    kind: 'circle',
    layer: 'hole',
    part: `${prefix}/front`,
    centre,
    radius: boltHole / 2,
  });
  const bolt = (part: string, centre: { x: number; y: number }): Shape => ({
    kind: 'circle',
    layer: 'fixing',
    part: `${prefix}/${part}`,
    centre,
    radius: head / 2,
  });
  const [corner = { x: rim, y: rim }, far = corner] = ports;
  const first = bolts[0] ?? { x: rim, y: rim };
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      { kind: 'rect', layer: 'plate', part: `${prefix}/front`, x: 0, y: 0, width: length, height: width },
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
        (centre): Shape => ({
          kind: 'circle',
          layer: 'hole',
          hidden: true,
          part: `${prefix}/ports`,
          centre,
          radius: portHole / 2,
        }),
      ),
      ...coverBars(prefix, glazing, length, width),
      ...coverOutline(prefix, glazing, length, width),
      {
        kind: 'path',
        layer: 'note',
        closed: false,
        points: [
          { x: length + 0.04, y: 0.05 },
          { x: length + 0.15, y: 0.05 },
        ],
      },
      {
        kind: 'path',
        layer: 'note',
        closed: false,
        points: [
          { x: length + 0.12, y: 0.066 },
          { x: length + 0.15, y: 0.05 },
          { x: length + 0.12, y: 0.034 },
        ],
      },
    ],
    dimensions: [
      {
        id: 'length',
        label: 'sheet',
        from: { x: 0, y: 0 },
        to: { x: length, y: 0 },
        offset: -0.09,
        value: length,
        edit: {
          path: 'parameters.length',
          ...fieldRange('length'),
          scale: 1,
          offset: 0,
          lowReason: 'too short to be worth a panel',
          highReason: 'no such sheet is sold',
        },
      },
      {
        id: 'width',
        label: 'sheet',
        from: { x: 0, y: 0 },
        to: { x: 0, y: width },
        offset: 0.09,
        value: width,
        edit: {
          path: 'parameters.width',
          ...fieldRange('width'),
          scale: 1,
          offset: 0,
          lowReason: 'too narrow to be worth a panel',
          highReason: 'no such sheet is sold',
        },
      },
      {
        id: 'bolt-pitch',
        label: 'bolt grid, at most',
        from: { x: first.x, y: width },
        to: { x: first.x + boltPitch, y: width },
        offset: 0.075,
        value: boltPitch,
        edit: {
          path: 'parameters.boltPitch',
          ...fieldRange('boltPitch'),
          scale: 1,
          offset: 0,
          lowReason: 'the washers would meet',
          highReason: 'it would bow like a balloon',
        },
      },
    ],
    labels: [
      {
        at: { x: corner.x, y: -0.012 },
        to: { x: corner.x, y: -0.03 },
        words: 'cold in',
        anchor: 'start',
        tone: 'cold',
      },
      {
        at: { x: far.x, y: width + 0.012 },
        to: { x: far.x, y: width + 0.03 },
        words: 'hot out',
        anchor: 'end',
        tone: 'hot',
      },
      { at: { x: length + 0.095, y: 0.015 }, to: { x: length + 0.095, y: 0.015 }, words: 'up', anchor: 'middle' },
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
  const sheetShape = (side: 1 | -1, part: string): Shape => ({
    kind: 'path',
    layer: 'plate',
    part: `${prefix}/${part}`,
    closed: true,
    points: [...face(side, 0), ...face(side, thick).reverse()],
  });
  const top = low + 2 * thick + gasket;
  const middle = low + thick + gasket / 2;
  return {
    title: `Section of ${prefix}`,
    shapes: [
      ...(wool > 0
        ? ([
            {
              kind: 'rect',
              layer: 'insulation',
              part: `${prefix}/backing`,
              x: rim,
              y: 0,
              width: end - rim,
              height: wool,
            },
          ] as const)
        : []),
      ...[top, low - rimBar.thickness].map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'rail',
          part: `${prefix}/rim-short`,
          x: 0,
          y,
          width: rim,
          height: rimBar.thickness,
        }),
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
      {
        kind: 'rect',
        layer: 'note',
        part: `${prefix}/gasket-strip`,
        x: 0,
        y: middle - gasket / 2,
        width: rim,
        height: gasket,
      },
      sheetShape(1, 'front'),
      sheetShape(-1, 'back'),
      ...Array.from({ length: fields - 1 }, (_, index): Shape => {
        const x = rim + (index + 1) * grid.along;
        return {
          kind: 'rect',
          layer: 'fixing',
          ...(layout.bolts.length > 0 ? { part: `${prefix}/bolt` } : {}),
          x: x - 0.0025,
          y: middle - 0.009,
          width: 0.005,
          height: 0.018,
        };
      }),
      ...coverShapes(prefix, glazing, { x: 0, y: top + airGap, width: end }),
    ],
    labels: [
      ...coverLabel(glazing, { x: end, y: top + airGap }),
      {
        at: { x: end, y: top },
        to: { x: end + 0.03, y: top + 0.008 },
        words: 'front',
        size: sheet.thickness,
        fine: true,
        anchor: 'start',
      },
      ...(glazing.cover
        ? [
            {
              at: { x: rim / 2, y: top + rimBar.thickness + lathHeight / 2 },
              to: { x: -0.008, y: top + rimBar.thickness + lathHeight + 0.01 },
              words: 'lath',
              size: lathHeight,
              anchor: 'end' as const,
            },
          ]
        : []),
      {
        at: { x: rim / 2, y: low - rimBar.thickness / 2 },
        to: { x: -0.008, y: low - 0.016 },
        words: 'rim bar',
        size: rimBar.thickness,
        anchor: 'end',
      },
      {
        at: { x: end - grid.along / 2, y: middle },
        to: { x: end + 0.03, y: middle - 0.006 },
        words: 'bows each',
        size: atFoot.bow,
        fine: true,
        anchor: 'start',
      },
    ],
    dimensions: [
      {
        id: 'grid-along',
        label: 'bolt to bolt',
        from: { x: rim + grid.along, y: Math.min(0, low - 0.012) },
        to: { x: rim + 2 * grid.along, y: Math.min(0, low - 0.012) },
        offset: -0.022,
        value: grid.along,
      },
      ...coverGap(glazing, {
        x: rim + grid.along / 2,
        y: top,
        value: airGap,
        label: 'sheet to cover',
        ...fieldRange('airGap'),
        lowReason: 'the cover would touch the sheet',
        highReason: 'the laths would shade it',
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
