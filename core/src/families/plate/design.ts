import { entry, materials, serviceLimits } from '../../catalogue';
import type { Drawing } from '../../draw';
import { bought, type Part, type Purchase } from '../../shop';
import type { FlatDescription } from '../../thermal';
import type { DrawnViews, GrowingThing, HeaterDesign, MaterialInPanel } from '../family';
import { primer } from '../kit/paint';
import { areasOf, massOf } from '../kit/totals';
import type { PlateBuild } from '../plateFamily';
import { hotSpace, type PlateLayout, rowOf } from './layout';

/** Everything in a panel of tubes on a plate that must stand its heat, and where. */
function plateMaterials(build: PlateBuild<unknown>, layout: PlateLayout, paintId: string): MaterialInPanel[] {
  const { box, glazing } = layout;
  const at = (field: string) => `${build.path}.${field}`;
  const onTubes = build.absorber.on(rowOf(build, { tube: layout.tube, count: 1, pitch: layout.pitch, length: 1 }));
  const paint = entry('coating', paintId);
  return [
    { name: onTubes.limit.name, place: 'plate', limit: onTubes.limit.temperature, path: at('absorber.kind') },
    { name: paint.name, place: 'plate', limit: paint.serviceLimit, path: at('parameters.paint') },
    { ...serviceLimits.tinLead, place: 'plate', joint: 'tin-lead' },
    { ...serviceLimits.tinAntimony, place: 'plate', joint: 'tin-antimony' },
    { ...serviceLimits.sensor, place: 'plate' },
    { ...box.limits.insulation, place: 'insulation', path: at('box.parameters.insulation') },
    { ...box.limits.back, place: 'back', path: at('box.parameters.back') },
    { ...box.limits.side, place: 'side', path: at('box.parameters.board') },
    { ...serviceLimits.cable, place: 'side' },
    ...(glazing.cover
      ? ([
          {
            name: glazing.name,
            place: 'inner pane',
            limit: glazing.serviceLimit,
            path: at('glazing.parameters.pane'),
          },
          { ...serviceLimits.gasket, place: 'bearing' },
          { ...serviceLimits.sealant, place: 'bearing' },
        ] as const)
      : []),
  ];
}

/** What grows in the heat, and the room it has: the pane in its rebate, the tubes between the end boards. */
function plateGrowth(
  build: PlateBuild<unknown>,
  layout: PlateLayout,
  tubes: { length: number; path: string },
): GrowingThing[] {
  const { glazing, endGap } = layout;
  const clearance = `${build.path}.glazing.parameters.clearance`;
  const pane = glazing.cover
    ? [
        {
          name: glazing.name,
          place: 'inner pane' as const,
          length: Math.max(glazing.pane.length, glazing.pane.width),
          expansion: glazing.expansion,
          room: 2 * glazing.clearance,
          path: clearance,
          perSide: true,
          besides: (room: number) => layout.box.mendBearing(room, build.path),
        },
      ]
    : [];
  return [
    ...pane,
    {
      name: 'row of tubes',
      place: 'plate',
      length: tubes.length,
      expansion: materials.copper.expansion ?? 0,
      room: 2 * endGap,
      path: tubes.path,
      perSide: false,
    },
  ];
}

/** Layers of the panel from the pane down. */
function plateStack(build: PlateBuild<unknown>, layout: PlateLayout): NonNullable<HeaterDesign['stack']> {
  const { box, glazing, tube } = layout;
  return {
    layers: [
      { name: glazing.name, thickness: glazing.pane.thickness },
      { name: 'air', thickness: layout.airGap },
      { name: 'plate and tube', thickness: build.absorber.thickness + tube.outerDiameter },
      { name: 'room under the tube', thickness: (layout.thickest - tube.outerDiameter) / 2 },
      { name: box.limits.insulation.name, thickness: box.insulation },
      { name: 'back', thickness: box.back },
    ],
    ...layout.stack,
  };
}

/** m of sensor wire in a panel, to the first joint box outside. */
const sensorWire = 3;

/** What lies in a panel of tubes on a plate beside tubes, plate and box: clips, the sensor's wire, primer. */
export function arrayPurchases(prefix: string, { box, runs }: PlateLayout, area: number): Purchase[] {
  const clips = box.rails.length * Math.ceil(runs.length / 2);
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, id, name, [quantity, 'each'], { priceKey, rule, mass });
  return [
    ...(clips > 0
      ? [
          each(
            'array-clip',
            'Pipe clips, loose enough to slide, with screws',
            clips,
            'clip',
            'every second tube at every rail',
            0.01 * clips,
          ),
        ]
      : []),
    each('anchor-clip', 'Pipe clip, tight, with screws', 1, 'clip', 'one, in the middle of the array', 0.01),
    bought(prefix, 'sensor-wire', 'Sensor wire, rated for the heat of the box', [sensorWire, 'm'], {
      priceKey: 'sensor-wire',
      rule: 'from the hot end of the plate to outside the box',
      mass: 0.03 * sensorWire,
    }),
    each('sensor-sleeve', 'Sleeve for the sensor wire', 1, 'sensor-sleeve', 'through the side board', 0.01),
    primer(prefix, area),
  ];
}

/** The pieces of the box round a layout. */
export function boxPartsOf(prefix: string, layout: PlateLayout): Part[] {
  const { box, railDepth, exits, runs } = layout;
  return box.parts({ prefix, railDepth, exits, hotSpace: hotSpace(layout), tubes: runs });
}

/** What every panel of tubes on a plate says of itself, whatever way its water goes. */
export function plateDesign(
  build: PlateBuild<unknown>,
  layout: PlateLayout,
  own: {
    paint: string;
    description: FlatDescription;
    parts: Part[];
    purchases: Purchase[];
    /** m of tube that grows in one line, and the field that shortens it. */
    grows: { length: number; field: string };
  },
): Pick<
  HeaterDesign,
  | 'areas'
  | 'outside'
  | 'stack'
  | 'parts'
  | 'purchases'
  | 'materials'
  | 'growth'
  | 'dryMass'
  | 'underWind'
  | 'wettedMetal'
> {
  const { box } = layout;
  const { description, parts, purchases, grows } = own;
  return {
    areas: areasOf(description),
    outside: { ...box.outside, depth: box.depth + box.below },
    stack: plateStack(build, layout),
    parts,
    purchases,
    materials: plateMaterials(build, layout, own.paint),
    growth: plateGrowth(build, layout, { length: grows.length, path: `${build.path}.parameters.${grows.field}` }),
    dryMass: massOf(parts, purchases),
    wettedMetal: 'copper',
    underWind: (wind) =>
      layout.glazing.underWind(layout.airGap, wind, {
        pane: `${build.path}.glazing.parameters.pane`,
        bars: `${build.path}.glazing.parameters.bars`,
      }),
  };
}

/** The views of a panel in a box, its bent metal among them where it has any. */
export function plateViews(
  build: PlateBuild<unknown>,
  { box: { development } }: PlateLayout,
  draw: { plan(): Drawing; section(): Drawing; detail(): Drawing },
): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: draw.plan },
    section: { name: 'Section', words: 'cut across', draw: draw.section },
    detail: { name: 'Full size', words: 'the place that must be right', draw: draw.detail },
    ...(development
      ? {
          bent: {
            name: 'Bent edge',
            words: 'laid flat before it is bent',
            draw: () => development(build.id),
            flat: true,
          },
        }
      : {}),
  };
}
