import type { Boundary } from '../../thermal';

/** Clear noon with a light wind, on the flat: when water that stands in a hose is hottest. */
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
