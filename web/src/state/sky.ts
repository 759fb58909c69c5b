import { resultKey } from '@north-pane/core/document';
import { type PaneSun, type SkySource, skySourceOf } from '@north-pane/core/site';
import { type StandingShares, type StandingStudy, sharesOf } from '@north-pane/core/sky';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useWork } from '../workers/useWork';
import { answered, api, Refusal } from './api';
import { useDerived } from './derived';
import { savingOf, useDocument, useJob } from './job';

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

/** Everything about sun at the open job's site, worked out beside the page: the last answer stays up while the next is worked out. */
export function useSky(): {
  sun: PaneSun | undefined;
  study: StandingStudy | undefined;
  shares: StandingShares | undefined;
  /** Whether sun and study are for the pane as it stands now. */
  fresh: boolean;
  source: SkySource;
} {
  const job = useDocument();
  const { open } = useDerived();
  const { bytes, waiting } = useSeries();
  const key = `${resultKey(job, ['weather'])} ${waiting} ${bytes?.byteLength}`;
  // A row in front is as large as the panels themselves: their sizes, and not all that they are made of.
  const outsides = open.panels.map(({ design }) => design.outside);
  const stands = `${key} ${resultKey(job, ['sun'])} ${JSON.stringify(job.site.standing.front && outsides)}`;
  const { value: sun, fresh: sunFresh } = useWork('pane', stands, (heavy) => heavy.pane(key, job, bytes));
  const { value: study, fresh } = useWork('study', stands, (heavy) => heavy.study(key, job, bytes));
  const both = fresh && sunFresh && sun && study;
  // Sun of one pane and study of another make no share: until both are there, what was worked out last stands.
  const [last, setLast] = useState<{ sun: PaneSun; study: StandingStudy; shares: StandingShares } | undefined>(
    undefined,
  );
  if (both && (last?.sun !== sun || last.study !== study)) setLast({ sun, study, shares: sharesOf(sun.months, study) });
  return {
    sun,
    study: last?.study,
    shares: last?.shares,
    fresh: Boolean(both),
    source: skySourceOf(job.site, bytes !== undefined),
  };
}

/** What the weather will be in the next three days, from the service that the server asks. */
export function useOutlook() {
  const id = useJob((state) => state.id) ?? '';
  const { latitude, longitude } = useDocument().site;
  const saving = useJob((state) => savingOf(state.sync));
  return useQuery({
    queryKey: ['outlook', id, latitude, longitude, saving === 'saved'],
    enabled: saving === 'saved',
    staleTime: 600_000,
    retry: false,
    queryFn: () => answered(api.api.jobs[':id'].outlook.$get({ param: { id } })),
  });
}
