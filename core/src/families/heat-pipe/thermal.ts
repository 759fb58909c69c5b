import { entry, materials, range } from '../../catalogue';
import { tubeMass } from '../../shop';
import { fluidState, type HeatPipeDescription } from '../../thermal';
import type { HeaterDocument } from '../family';
import type { HeatPipeLayout } from './layout';

/** Clear drink bottles: PET, 0.3 mm. Index and emittance: textbook; transmittance of one wall: makers, 0.86 to 0.9, less dirt and age. */
const bottle = {
  index: 1.575,
  transmittance: range(0.8, 0.86, 0.89, 'judgement'),
  emittance: 0.85,
  /** m and J/m³K. */
  wall: 0.0003,
  heat: 1.35e3 * 1200,
} as const;
/** W/m²K. Water boiling at little heat in a tube under low pressure, and its film running back. Faghri (1995), 1 500 to 6 000. */
const boiling = range(800, 2000, 5000, 'textbook', 'log-normal');
const condensing = range(1500, 4000, 8000, 'textbook', 'log-normal');
/** W/m²K. A tip in water that barely moves: free convection round a cylinder of 15 mm at 5 to 20 K, 600 to 800 (Churchill and Chu 1975). */
const condenser = range(450, 700, 1100, 'textbook', 'log-normal');
/** W/mK. A strip sprung half round a pipe, greased and tight, as fins are. */
const stripBond = range(5, 12, 30, 'judgement', 'log-normal');
/** W/mK of foam round pipes, EN 14304. */
export const foam = 0.04;

export function heatPipeDescription(layout: HeatPipeLayout, known: HeaterDocument['known']): HeatPipeDescription {
  const { parameters, tube, manifold, heated, length, manifoldLength, outside, water } = layout;
  const paint = entry('coating', parameters.paint);
  const state = fluidState('water', 30);
  const copper = parameters.tubes * tubeMass(tube) * length + tubeMass(manifold) * manifoldLength;
  return {
    count: parameters.tubes,
    grossArea: outside.length * outside.width,
    tube: {
      diameter: tube.outerDiameter,
      bore: layout.bore,
      heated,
      wet: parameters.immersion,
      length,
      conductivity: materials.copper.conductivity,
    },
    ...(layout.strip
      ? {
          strip: {
            width: layout.strip.width,
            conductance: materials[layout.strip.sheet.material].conductivity * layout.strip.sheet.thickness,
            bond: stripBond,
          },
        }
      : {}),
    pitch: parameters.pitch,
    charge: layout.charge,
    ...(layout.sleeved
      ? {
          sleeve: {
            diameter: parameters.bottleDiameter,
            index: bottle.index,
            transmittance: bottle.transmittance,
            emittance: bottle.emittance,
            capacity: 0.3 * parameters.tubes * Math.PI * parameters.bottleDiameter * heated * bottle.wall * bottle.heat,
          },
        }
      : {}),
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    boiling,
    condensing,
    condenser,
    manifold: {
      length: manifoldLength,
      diameter: manifold.outerDiameter,
      lagging: { thickness: parameters.lagging, conductivity: foam },
      factor: range(1.1, 1.3, 1.8, 'judgement'),
    },
    capacity: {
      dry: copper * materials.copper.heatCapacity + parameters.tubes * layout.charge * state.heatCapacity,
      water: water * state.density * state.heatCapacity,
    },
    known,
  };
}
