import {
  type Around,
  cellsOnPane,
  jobAround,
  jobStanding,
  monthsOf,
  type SkySource,
  type SkyYear,
  type StandingShares,
  type StandingStudy,
  sharesOf,
  skySourceOf,
} from '@north-pane/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useHeavy } from '../workers/useHeavy';
import { answered, api, Refusal } from './api';
import { useDerived } from './derived';
import { useDocument, useJob } from './job';

/** Bytes of the series that the site's weather is taken from; undefined when it is no file, or not at hand. */
function useSeries(): { bytes: Uint8Array | undefined; waiting: boolean } {
  const id = useJob((state) => state.id) ?? '';
  const { climate } = useDocument().site;
  const wanted = climate?.kind === 'file' ? climate.weather : undefined;
  const found = useQuery({
    queryKey: ['weather', id, wanted],
    enabled: wanted !== undefined,
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
    queryFn: async () => {
      const answer = await fetch(`/api/jobs/${id}/weather/${wanted}`);
      if (!answer.ok) throw new Refusal(answer.status, 'The weather file is not here.', undefined);
      return new Uint8Array(await answer.arrayBuffer());
    },
  });
  return { bytes: wanted === undefined ? undefined : found.data, waiting: wanted !== undefined && found.isPending };
}

export interface PlaceSky {
  sky: SkyYear;
  around: Around;
  /** J/m² by month and hour on the pane as it stands, and by month. */
  cells: Float64Array;
  months: number[];
}

/** Everything about sun at the open job's site: moves with the pane at once, and with the place a moment later. */
export function useSky(): {
  place: PlaceSky | undefined;
  study: StandingStudy | undefined;
  shares: StandingShares | undefined;
  /** Whether the study is for the pane as it stands now. */
  fresh: boolean;
  source: SkySource;
} {
  const job = useDocument();
  const { open } = useDerived();
  const { bytes, waiting } = useSeries();
  const { latitude, longitude, elevation, zone, climate, standing, horizon, exposure } = job.site;
  const key = JSON.stringify([latitude, longitude, elevation, zone, climate, waiting, bytes?.byteLength]);
  const { value: sky } = useHeavy(`sky ${key}`, (heavy) => heavy.sky(key, job.site, bytes));
  const outsides = open.panels.map(({ design, document }) => [design.outside, document.count, document.turned]);
  const stands = JSON.stringify([key, standing, horizon, exposure.albedo, job.need.months, standing.front && outsides]);
  const { value: study, fresh } = useHeavy(`study ${stands}`, (heavy) => heavy.study(key, job, bytes));
  // biome-ignore lint/correctness/useExhaustiveDependencies: `stands` holds all that the sums read of the open job
  const place = useMemo(() => {
    if (!sky) return undefined;
    const around = jobAround(open, sky);
    const cells = cellsOnPane(sky, around, jobStanding(open.job));
    return { sky, around, cells, months: monthsOf(sky, cells) };
  }, [sky, stands]);
  const shares = place && study ? sharesOf(place.months, study) : undefined;
  return { place, study, shares, fresh, source: skySourceOf(job.site, bytes !== undefined) };
}

/** What the weather will be in the next three days, from the service that the server asks. */
export function useOutlook() {
  const id = useJob((state) => state.id) ?? '';
  const { latitude, longitude } = useDocument().site;
  const saving = useJob((state) => state.saving);
  return useQuery({
    queryKey: ['outlook', id, latitude, longitude, saving === 'saved'],
    enabled: saving === 'saved',
    staleTime: 600_000,
    retry: false,
    queryFn: () => answered(api.api.jobs[':id'].outlook.$get({ param: { id } })),
  });
}
