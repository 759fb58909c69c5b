import type { Job } from '../document';
import { mainTilt, standingAt, zoneAt } from '../document';
import { type OpenJob, openJob, tiltOf } from '../job';
import type { Derivation } from '../readout';
import {
  type Around,
  around,
  broadClimates,
  cellsOnPane,
  clearSkyTemperature,
  climateMonths,
  type FrontRow,
  likelyClimate,
  type MonthlyClimate,
  mainsTemperature,
  meansOf,
  midMonthDays,
  monthsOf,
  type Obstruction,
  obstructionOf,
  type PaneOrientation,
  type SkyYear,
  type StandingStudy,
  skyTemperature,
  skyYear,
  studyStanding,
  syntheticYear,
  type WeatherSeries,
  windAtPanel,
  windAtPanelShare,
} from '../sky';

type Site = Job['site'];

/** Whether somebody has named the place; until then latitude and longitude are those of somewhere like it. */
export function isPlaced(site: Site): boolean {
  return site.unnamed === undefined;
}

/**
 * What changes when the place is named: latitude, longitude, and the clock where the one that stands can hardly be right. A pane that still
 * stands as it did for a place somewhere like it turns to the equator and takes the new latitude for its tilt.
 */
export function namePlace(
  site: Site,
  place: { latitude: number; longitude: number },
  zone?: string,
): { path: string; value: unknown }[] {
  const { latitude, longitude } = place;
  const standing = standingAt(site.latitude);
  const untouched = !isPlaced(site) && site.standing.aim === standing.aim && mainTilt(site).tilt === standing.tilt;
  return [
    { path: 'site.latitude', value: latitude },
    { path: 'site.longitude', value: longitude },
    ...(isPlaced(site) ? [] : [{ path: 'site.unnamed', value: undefined }]),
    ...(isPlaced(site) ? [] : [{ path: 'site.zone', value: zoneAt(longitude, zone) }]),
    ...(untouched
      ? [
          { path: 'site.standing.aim', value: standingAt(latitude).aim },
          { path: mainTilt(site).path, value: standingAt(latitude).tilt },
        ]
      : []),
  ];
}

/** How the pane stands: the first tilt, at the aim. */
export function jobStanding(job: Job): PaneOrientation {
  return { tilt: tiltOf(job), aim: job.site.standing.aim };
}

/** Twelve monthly means of the site's weather. */
export function jobMonths(site: Site): MonthlyClimate {
  return climateMonths(site.climate, site.latitude, site.elevation);
}

/** Where the weather of a site comes from, and how far it can be trusted. */
export interface SkySource {
  kind: 'broad' | 'months' | 'file' | 'stand-in';
  words: string;
  /** Share by which a year's sum of sun may be off. */
  error: number;
}

/** @param atHand whether the series of a file is there to be read */
export function skySourceOf({ climate, latitude }: Site, atHand: boolean): SkySource {
  if (!climate || climate.kind === 'broad') {
    const { name } = broadClimates[climate?.type ?? likelyClimate(latitude)];
    const guess = climate ? '' : ', guessed from the latitude';
    return {
      kind: 'broad',
      words: `Made-up weather of a broad kind, “${name}”${guess}: our own round figures, measured nowhere.`,
      error: 0.2,
    };
  }
  if (climate.kind === 'months')
    return { kind: 'months', words: 'Made-up weather that keeps twelve monthly means of your own.', error: 0.1 };
  if (atHand) return { kind: 'file', words: `Weather of the file “${climate.name}”.`, error: 0.07 };
  return {
    kind: 'stand-in',
    words: `The file “${climate.name}” is not at hand; made-up weather with its monthly means stands in.`,
    error: 0.1,
  };
}

/**
 * The year's sky over a site, ready to be asked about any pane. About a tenth of a second: for a worker.
 *
 * @param series the weather of the site's file, when there is one and it is at hand
 */
export function jobSky(site: Site, series?: WeatherSeries): SkyYear {
  if (site.climate?.kind === 'file' && series) return skyYear(series, site);
  return skyYear(syntheticYear(jobMonths(site), site), site, { evenHanded: true });
}

/** The row in front with the size of the job's own panels side by side; undefined when there is none. */
function frontRow({ job, panels }: OpenJob): FrontRow | undefined {
  const { front } = job.site.standing;
  const first = panels[0];
  if (!front || !first) return undefined;
  const { length, width } = first.design.outside;
  const [upslope, across] = first.document.turned ? [width, length] : [length, width];
  return { ...front, length: upslope, width: across * first.document.count };
}

/** What stands between the pane of a job and its sky; undefined where nothing does. */
export function jobObstruction(job: Job): Obstruction | undefined {
  const { horizon, standing } = job.site;
  if (horizon.length === 0 && !standing.front) return undefined;
  return obstructionOf({ horizon, front: standing.front ? frontRow(openJob(job)) : undefined }, jobStanding(job));
}

/** Skyline, ground and the row in front, worked up for a sky. */
export function jobAround(open: OpenJob, sky: SkyYear): Around {
  const { horizon, exposure } = open.job.site;
  return around(sky, { horizon, albedo: exposure.albedo, front: frontRow(open) });
}

/** Sun on the pane as it stands. */
export interface PaneSun {
  /** W/m² by month and hour (12 × 24), a mean over all days; and what it would be with an open skyline and no row in front. */
  means: Float64Array;
  free: Float64Array;
  /** J/m² in each month. */
  months: number[];
}

/** Sun on the pane as it stands, by month and hour. Some tens of milliseconds: for a worker. */
export function planeOfArrayIrradiance(open: OpenJob, sky: SkyYear): PaneSun {
  const pane = jobStanding(open.job);
  const cells = cellsOnPane(sky, jobAround(open, sky), pane);
  const { albedo } = open.job.site.exposure;
  const free = cellsOnPane(sky, around(sky, { horizon: [], albedo }), pane);
  return { means: meansOf(sky, cells), free: meansOf(sky, free), months: monthsOf(sky, cells) };
}

/** How the pane might stand here, all of it. */
export function jobStudy(open: OpenJob, sky: SkyYear): StandingStudy {
  const { site, need } = open.job;
  return studyStanding(sky, jobAround(open, sky), {
    latitude: site.latitude,
    standing: jobStanding(open.job),
    roof: site.standing.roof,
    ...(need.months ? { months: need.months } : {}),
  });
}

/** Figures of the site with how they come about. Temperatures by month, wind as a band. */
export function siteDerivations(site: Site): {
  mains: { values: number[]; derivation: Derivation };
  sky: { clear: number[]; overcast: number[]; derivation: Derivation };
  wind: { low: number; likely: number; high: number; derivation: Derivation };
} {
  const months = jobMonths(site);
  const mains = midMonthDays.map((day) =>
    mainsTemperature({ air: months.air, day: Math.round(day), measured: site.mains }),
  );
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const at = (month: number) => ({
    air: months.air[month] ?? 0,
    dewPoint: Math.min(months.air[month] ?? 0, months.dewPoint[month] ?? 0),
    hour: 0,
  });
  const station = mean(months.wind);
  const wind = windAtPanel(station, site.exposure.windShare);
  return {
    mains: {
      values: mains,
      derivation: site.mains
        ? {
            name: 'Mains water',
            formula: 'a yearly wave between the two temperatures measured, some weeks behind the air',
            source: 'measured by you; lag by Burch and Christensen (2007)',
            inputs: [
              { label: 'coldest', value: site.mains.coldest, kind: 'temperature' },
              { label: 'warmest', value: site.mains.warmest, kind: 'temperature' },
            ],
          }
        : {
            name: 'Mains water',
            formula: 'mean air + 3.3 K, less a share of the air’s half swing, some weeks late; 2 to 3 K either way',
            source: 'Burch and Christensen (2007), with the phase of the air in place of the calendar',
            inputs: [
              { label: 'mean air', value: mean(months.air), kind: 'temperature' },
              { label: 'coldest month', value: Math.min(...months.air), kind: 'temperature' },
              { label: 'warmest month', value: Math.max(...months.air), kind: 'temperature' },
            ],
          },
    },
    sky: {
      clear: months.air.map((_, month) => clearSkyTemperature(at(month))),
      overcast: months.air.map((_, month) => skyTemperature({ ...at(month), cloud: 1 })),
      derivation: {
        name: 'Night sky',
        formula: 'air × (0.711 + 0.56 d + 0.73 d² + 0.013)^¼ in kelvin, d = dew point ÷ 100; clouds close the rest',
        source: 'Berdahl and Martin (1984); clouds by Martin and Berdahl (1984)',
        inputs: [
          { label: 'mean air', value: mean(months.air), kind: 'temperature' },
          { label: 'mean dew point', value: mean(months.dewPoint), kind: 'temperature' },
        ],
      },
    },
    wind: {
      ...wind,
      derivation: {
        name: 'Wind at the panel',
        formula: 'wind at 10 m × share that comes down to the panel; from 0.3 to 0.7 of it where it is not known',
        source: 'judgement; the spread is that of sheltered to open gardens',
        inputs: [
          { label: 'wind at 10 m', value: station, kind: 'speed' },
          { label: 'share', value: site.exposure.windShare, kind: 'number', digits: 2 },
          { label: 'usual share', value: windAtPanelShare.likely, kind: 'number', digits: 2 },
        ],
      },
    },
  };
}
