import type { Boundary } from '../../thermal';

/** Clear summer noon on the flat, hardly a wind: when the water is hottest. */
export const fullSun: Boundary = {
  irradiance: 1000,
  beamShare: 0.85,
  groundShare: 0,
  incidence: 0,
  air: 30,
  surroundings: 20,
  wind: 0.5,
  inlet: 30,
  massFlow: 0,
  tilt: 0,
};
/** A day to plan a shower by. */
export const fairDay: Boundary = { ...fullSun, irradiance: 800, air: 22, surroundings: 12, wind: 2 };
