// How the pane stands and under what sky, judged for this job.

export {
  isPlaced,
  jobAround,
  jobMonths,
  jobObstruction,
  jobPaneSun,
  jobSky,
  jobStanding,
  jobStudy,
  namePlace,
  type PaneSun,
  type SkySource,
  siteDerivations,
  skySourceOf,
} from './place';
