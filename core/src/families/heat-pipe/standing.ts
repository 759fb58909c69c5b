import type { Boundary } from '../../thermal';

/** Full sun square on, warm air, hardly a wind, and nothing drawn: when the pipes are hottest. */
export const fullSun: Boundary = {
  irradiance: 1000,
  beamShare: 0.85,
  groundShare: 0.1,
  incidence: 0,
  air: 30,
  surroundings: 20,
  wind: 0.5,
  inlet: 30,
  massFlow: 0,
  tilt: 45,
};

/** Degrees from level under which a sealed tube of this kind does not carry well: what condenses does not run back. Faghri (1995): 10 to 15. */
export const leastTilt = 15;
