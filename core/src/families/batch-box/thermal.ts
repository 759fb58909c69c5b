import { dirt, entry, materials, range } from '../../catalogue';
import { mirrorSpread, type StoreDescription } from '../../thermal';
import type { HeaterDocument } from '../family';
import { type BatchBoxLayout, tankMass } from './layout';

/** W/m²K of the air inside a box and outside it: EN ISO 6946. */
const inside = 8;
const outside = 15;
/** Share of what falls beside the tanks that a lining still brings to them. Judgement: a bounce or two, and its own warmth. */
const linings = {
  foil: range(0.45, 0.6, 0.7, 'judgement'),
  white: range(0.35, 0.5, 0.6, 'judgement'),
} as const;

/** A box of tanks as heat sees it: what the pane lets in, what it loses by each side. */
export function batchBoxDescription(layout: BatchBoxLayout, known: HeaterDocument['known']): StoreDescription {
  const { parameters, opening, depth, width, wall, glazing, insulation, sheathing, planeAt, tankVolume, lid } = layout;
  const { tanks, stand, tankDiameter: across } = parameters;
  const paint = entry('coating', parameters.paint);
  const layer = (sheet: typeof insulation) => ({
    name: sheet.name,
    thickness: sheet.thickness,
    conductivity: materials[sheet.material].conductivity,
  });
  const side = (name: string, area: number) => ({
    name,
    area,
    inside,
    outside,
    layers: [layer(insulation), layer(sheathing)],
  });
  const [deep, wide] = [depth - 2 * wall, width - 2 * wall];
  const [low, high] = [planeAt(wall), planeAt(depth - wall)];
  const area = Math.max(1e-4, opening.length * opening.width);
  const middle = parameters.airGap + across * (1 - Math.PI / 4) * 0.5;
  return {
    apertureArea: area,
    grossArea: (depth / layout.slope.cos) * width,
    opening: { ...opening, depth: parameters.airGap },
    covers: glazing.cover ? [{ ...glazing.cover, gap: middle }] : [],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    tanks: {
      count: tanks,
      volume: tankVolume,
      steel: tankMass(parameters),
      fill: layout.fill,
      upright: stand === 'upright',
    },
    lining: linings[parameters.lining],
    walls: [
      side('floor', deep * wide),
      side('front', wide * low),
      side('back', wide * high),
      side('sides', deep * (low + high)),
    ],
    wallFactor: range(1.15, 1.4, 1.8, 'judgement'),
    ...(lid && parameters.lid !== 'none'
      ? {
          lid: {
            hinge: parameters.lid,
            length: lid.length,
            angle: parameters.lidAngle,
            reflectance: mirrorSpread,
            insulation: { thickness: insulation.thickness, conductivity: materials[insulation.material].conductivity },
          },
        }
      : {}),
    known,
  };
}
