// The front door of core: the names that are kept, checked against front-door.d.ts. Everything else is at the door of its room
// (`@north-pane/core/figures`).

export { defaultJob, familyIds, type Job, parseJob } from './document';
export { evaluateBands, evaluateJob } from './figures';
export { manifoldFlow, pressureDrop } from './hydraulic';
export { planLengths, planSheets } from './shop';
export { clearSky, incidenceAngle, splitGlobal, sunPosition, tiltedIrradiance } from './sky';
export {
  coverOptics,
  efficiencyFactor,
  finEfficiency,
  heatRemovalFactor,
  topLoss,
  tubeFilm,
} from './thermal';
