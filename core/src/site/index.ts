// How the pane stands and under what sky, judged for this job.

export {
  isPlaced,
  jobAround,
  jobMonths,
  jobObstruction,
  jobSky,
  jobStanding,
  jobStudy,
  namePlace,
  type PaneSun,
  planeOfArrayIrradiance,
  type SkySource,
  siteDerivations,
  skySourceOf,
} from './place';
