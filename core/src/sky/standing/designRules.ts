import { allMonths, type Best, seasonMonths, sumOver } from './best';
import { type Around, monthsOnPane, type PaneOrientation, type SkyYear } from './skyYear';

/** A roof as it was found; degrees. */
export interface RoofPitch {
  tilt: number;
  aim: number;
}

export type SchoolId = 'as-it-stands' | 'best' | 'latitude' | 'winter' | 'summer' | 'steep' | 'roof';

export interface SchoolResult extends PaneOrientation {
  id: SchoolId;
  name: string;
  /** Why its people hold with it. */
  reason: string;
  /** J/m². */
  year: number;
  winter: number;
  summer: number;
  /** Of the best fixed pane over the year. */
  share: number;
}

interface School {
  id: SchoolId;
  name: string;
  reason: string;
  pane(query: SchoolQuery): PaneOrientation | undefined;
}

interface SchoolQuery {
  latitude: number;
  standing: PaneOrientation;
  best: Best;
  roof?: RoofPitch | undefined;
}

/** Degrees. Toward the equator; on it both are alike, and north is taken. */
export function equatorward(latitude: number): number {
  return latitude > 0 ? 180 : 0;
}

const held = (tilt: number) => Math.min(90, Math.max(0, Math.round(tilt)));
const toward = (latitude: number, tilt: number): PaneOrientation => ({ tilt: held(tilt), aim: equatorward(latitude) });

/** Degrees that a roof or a pane must be steep for snow to slide off by itself. Judgement, on glass. */
const snowTilt = 55;

const schools: readonly School[] = [
  { id: 'as-it-stands', name: 'As it stands', reason: 'the pane as you have set it', pane: ({ standing }) => standing },
  {
    id: 'best',
    name: 'Best fixed',
    reason: 'most sun over the year in this weather, with this horizon',
    pane: ({ best }) => best,
  },
  {
    id: 'latitude',
    name: 'By the latitude',
    reason: 'square to the sun at noon in spring and autumn',
    pane: ({ latitude }) => toward(latitude, Math.abs(latitude)),
  },
  {
    id: 'winter',
    name: 'Latitude and 12',
    reason: 'leans to the winter, when warm water is wanted most (10 to 15 more than the latitude)',
    pane: ({ latitude }) => toward(latitude, Math.abs(latitude) + 12),
  },
  {
    id: 'summer',
    name: 'Shallow for summer',
    reason: 'a pool, a camp, a summer wash: 15 less than the latitude',
    pane: ({ latitude }) => toward(latitude, Math.max(5, Math.abs(latitude) - 15)),
  },
  {
    id: 'steep',
    name: 'Steep for low sun',
    reason: 'low winter sun, snow slides off; less heat in summer, and as hot as any when it stands dry',
    pane: ({ latitude }) => toward(latitude, Math.max(snowTilt, Math.abs(latitude) + 20)),
  },
  {
    id: 'roof',
    name: 'As the roof lies',
    reason: 'flat on the roof as found, no stand to build',
    pane: ({ roof }) => roof,
  },
];

/** What each school gets at this place. One that needs a roof is left out without one. */
export function schoolsCompared(sky: SkyYear, place: Around, query: SchoolQuery): SchoolResult[] {
  const { winter, summer } = seasonMonths(query.latitude);
  return schools.flatMap(({ id, name, reason, pane }) => {
    const stands = pane(query);
    if (!stands) return [];
    const months = monthsOnPane(sky, place, stands);
    const year = sumOver(months, allMonths);
    return [
      {
        id,
        name,
        reason,
        tilt: stands.tilt,
        aim: stands.aim,
        year,
        winter: sumOver(months, winter),
        summer: sumOver(months, summer),
        share: query.best.sun > 0 ? year / query.best.sun : 0,
      },
    ];
  });
}
