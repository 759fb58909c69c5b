import { dirt, entry, range } from '../../catalogue';
import type { OperatingConditions, StandardNormals, Workmanship } from '../contract';
import * as contract from '../contract';
import type { FlatState } from '../flat/working';
import type { PlateDescription, PlateStrip } from './description';
import { plateModel } from './plateModel';

/** The plate of `glazedPanel`, by its conductance and width. */
export function plainPlate(conductance = 385 * 0.0003, width = 0.104, diameter = 0.015): PlateStrip {
  return { width, steps: [{ width: (width - diameter) / 2, conductance }], mount: 'under', whole: false };
}

/** A single-glazed flat black panel of 2 m², well built, whose plate nearly fills its box. */
export function glazedPanel(change: Partial<PlateDescription> = {}): PlateDescription {
  const pane = entry('pane', 'tempered-low-iron-4');
  const paint = entry('coating', 'flat-black');
  return {
    apertureArea: 2.06,
    absorberArea: 2,
    grossArea: 2.3,
    // The plate lies right under the pane, with nothing round it that shades it.
    sunlit: {
      opening: { length: 2.06, width: 1 },
      plate: { length: 2, width: 1 },
      coverage: 1,
      depth: 0,
      bars: { count: 0, width: 0, depth: 0 },
    },
    covers: [
      {
        index: pane.index,
        sheets: pane.sheets,
        transmittance: pane.transmittance,
        emittance: pane.emittance,
        gap: 0.025,
        conductance: pane.conductance,
      },
    ],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    plate: plainPlate(),
    sheet: { thickness: 0.0003, density: 8960 },
    side: 0.33,
    tube: {
      outerDiameter: 0.015,
      innerDiameter: 0.0136,
      length: 1.886,
      count: 10,
      path: 'parallel',
      across: false,
      wallConductance: 385 * 0.0007,
    },
    bond: range(30, 100, 300, 'textbook', 'log-normal'),
    bondHomeMade: range(8, 40, 200, 'judgement', 'log-normal'),
    back: {
      layers: [
        { name: 'wool', thickness: 0.08, conductivity: 0.0365 },
        { name: 'ply', thickness: 0.0015, conductivity: 0.13 },
      ],
      outside: 15,
    },
    backFactor: range(1.1, 1.2, 1.3, 'judgement'),
    rim: { area: 0.4, layers: [{ name: 'board', thickness: 0.019, conductivity: 0.13 }], inside: 8, outside: 15 },
    rimFactor: range(0.5, 1, 2, 'judgement', 'log-normal'),
    capacity: { dry: 6000, water: 14000, box: 1400 },
    ...change,
  };
}

export const fairDay: OperatingConditions = {
  irradiance: 800,
  beamShare: 0.85,
  groundShare: 0.1,
  incidence: 0,
  air: 15,
  surroundings: 3,
  wind: 2,
  inlet: 20,
  massFlow: 0.042,
  tilt: 45,
};

/** The working state of a described panel. */
export function collectorState(
  description: PlateDescription,
  boundary: OperatingConditions,
  deviates?: StandardNormals,
  workmanship?: Workmanship,
): FlatState {
  return plateModel(description).working(boundary, deviates, workmanship);
}

/** °C of its plate at rest. */
export function stagnationTemperature(
  description: PlateDescription,
  boundary: OperatingConditions,
  deviates?: StandardNormals,
  workmanship?: Workmanship,
): number {
  return contract.stagnationTemperature(plateModel(description), boundary, deviates, workmanship);
}

/** The straight efficiency line of a panel on aperture over inlets from the air to 40 K above it: η0 and W/m²K. */
export function efficiencyLine(
  description: PlateDescription,
  boundary: OperatingConditions,
  workmanship?: Workmanship,
): { intercept: number; slope: number } {
  const at = (rise: number) =>
    collectorState(description, { ...boundary, inlet: boundary.air + rise }, {}, workmanship).efficiency;
  return { intercept: at(0), slope: ((at(0) - at(40)) * boundary.irradiance) / 40 };
}
