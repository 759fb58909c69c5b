import { dirt, materials, range, rimSpread } from '../../catalogue';
import { type CoilDescription, fluidState, openArea, type Sunlit } from '../../thermal';
import type { HeaterDocument } from '../family';
import type { SpiralLayout } from './layout';

/** Black plastic and rubber, weathered. Textbook values of carbon-black plastics, 0.92 to 0.96 both ways. */
const blackPlastic = {
  absorptance: range(0.91, 0.94, 0.96, 'textbook'),
  emittance: range(0.88, 0.92, 0.95, 'textbook'),
} as const;
/** W/m²K of the air under slats, and through a sheet that the hose touches along a line. Judgement: half of it faces down. */
const underside = 6;
/** A hose that the sun heats on one half: its wall conducts little round itself. Derived: 1 all round, 2 through one half alone. */
const oneSided = range(1.2, 1.6, 2, 'judgement');
/** Surface that the wind reaches over the plan of round hoses: π/2 of it faces up, the valleys lie still. Judgement. */
const windSurface = range(1, 1.25, 1.57, 'judgement');

/** A spiral of hose as heat sees it. */
export function spiralDescription(layout: SpiralLayout, known: HeaterDocument['known']): CoilDescription {
  const { parameters, hose, bore, length, ring, across, side, tray, glazing, volume } = layout;
  const { starts, pitch, airGap } = parameters;
  const stuff = materials[hose.material];
  const water = fluidState('water', 30);
  const square = { length: across, width: across };
  const opening = tray ? { length: side - 2 * tray.wall, width: side - 2 * tray.wall } : square;
  const sunlit: Sunlit = {
    opening,
    plate: square,
    coverage: ring / across ** 2,
    depth: tray ? airGap : 0,
    bars: glazing.bars,
  };
  const wallArea = (Math.PI / 4) * (hose.outerDiameter ** 2 - bore ** 2);
  return {
    apertureArea: tray ? openArea(sunlit) : ring,
    absorberArea: length * Math.min(hose.outerDiameter, pitch),
    sunlit,
    grossArea: side * side,
    covers: glazing.cover ? [{ ...glazing.cover, gap: airGap }] : [],
    tubes: { diameter: hose.outerDiameter, pitch },
    dirt,
    absorptance: blackPlastic.absorptance,
    emittance: blackPlastic.emittance,
    back: tray
      ? {
          layers: [
            {
              name: tray.back.name,
              thickness: tray.back.thickness,
              conductivity: materials[tray.back.material].conductivity,
            },
          ],
          inside: underside,
          outside: 15,
        }
      : { layers: [], inside: 2 * underside, outside: 2 * underside },
    backFactor: range(0.7, 1, 1.5, 'judgement'),
    rim: tray
      ? {
          area: 4 * side * tray.rise,
          layers: [{ name: tray.sideBoard.name, thickness: tray.wall, conductivity: materials.softwood.conductivity }],
          inside: 8,
          outside: 15,
        }
      : { area: 0, layers: [], inside: 8, outside: 15 },
    rimFactor: rimSpread,
    capacity: {
      dry: length * wallArea * stuff.density * stuff.heatCapacity + 0.3 * glazing.heatCapacity,
      water: volume * water.density * water.heatCapacity,
      box: 0,
    },
    known,
    starts,
    length: layout.each,
    outerDiameter: hose.outerDiameter,
    bore,
    conductivity: stuff.conductivity,
    oneSided,
    surface: windSurface,
  };
}
