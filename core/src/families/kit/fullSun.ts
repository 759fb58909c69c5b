import type { OperatingConditions } from '../../thermal';

/** Clear noon square on, warm air, hardly a wind, and nothing drawn: when what stands in a heater is hottest. */
function fullSun(tilt: number): OperatingConditions {
  return {
    irradiance: 1000,
    beamShare: 0.85,
    // A plane that lies flat sees no ground.
    groundShare: tilt === 0 ? 0 : 0.1,
    incidence: 0,
    air: 30,
    surroundings: 20,
    wind: 0.5,
    inlet: 30,
    massFlow: 0,
    tilt,
  };
}

/** Leaning at a usual tilt. */
export const fullSunLeaning = fullSun(45);
/** Flat on a roof or a rack. */
export const fullSunLevel = fullSun(0);
