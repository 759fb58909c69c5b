import { bore, entry, materials } from '../../catalogue';
import { tubeMass } from '../../shop';
import { filmReflectance, filmSlope, fluidState, type TroughDescription, troughShelter } from '../../thermal';
import type { HeaterDocument } from '../family';
import type { TroughLayout } from './layout';

export function troughDescription(layout: TroughLayout, known: HeaterDocument['known']): TroughDescription {
  const { parameters, receiver, section, lit, outside, volume, way } = layout;
  const paint = entry('coating', parameters.paint);
  const water = fluidState('water', 30);
  return {
    count: parameters.troughs,
    section,
    length: lit,
    grossArea: outside.length * outside.width,
    bore: bore(receiver),
    wallConductance: materials.copper.conductivity * receiver.wall,
    reflectance: filmReflectance,
    slope: filmSlope,
    shelter: troughShelter,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    capacity: {
      dry: tubeMass(receiver) * way * materials.copper.heatCapacity,
      water: volume * water.density * water.heatCapacity,
    },
    known,
  };
}

/** The mirror as likely as not: what heights are compared by. */
export const likelyMirror = { reflectance: filmReflectance.likely, slope: filmSlope.likely / 1000 } as const;
