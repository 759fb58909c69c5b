import type { Job } from '@north-pane/core/document';
import { decodeSeries, type MonthlyClimate, monthlyMeans } from '@north-pane/core/sky';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answered, api, queries, Refusal, sendForm } from './api';
import { useJob } from './job';

/** The series that are kept for the open job. */
export function useKeptWeather() {
  const id = useJob((state) => state.id) ?? '';
  return useQuery({
    queryKey: ['weather list', id],
    queryFn: () => answered(api.api.jobs[':id'].weather.$get({ param: { id } })),
    staleTime: 60_000,
  });
}

/** Keeps a series and takes the job's weather from it. */
export async function keepSeries(
  jobId: string,
  weather: { name: string; bytes: Uint8Array<ArrayBuffer>; months: MonthlyClimate },
  options: { onProgress(share: number): void; signal: AbortSignal },
): Promise<void> {
  const form = new FormData();
  form.set('name', weather.name);
  form.set('series', new File([weather.bytes], 'series'));
  const { id } = await sendForm<{ id: number }>(`/api/jobs/${jobId}/weather`, form, options);
  await queries.invalidateQueries({ queryKey: ['weather list', jobId] });
  takeFile({ weather: id, name: weather.name, months: weather.months });
}

function takeFile(file: { weather: number; name: string; months: MonthlyClimate }): void {
  const outcome = useJob.getState().change('site.climate', { kind: 'file', ...file } satisfies Job['site']['climate']);
  if (!outcome.ok) throw new Refusal(0, outcome.message, undefined);
}

/** Takes the job's weather from a series that is kept already. */
export function useTakeKept() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: async ({ weather, name, zone }: { weather: number; name: string; zone: string }) => {
      const answer = await fetch(`/api/jobs/${id}/weather/${weather}`);
      if (!answer.ok) throw new Refusal(answer.status, 'That weather is no longer here.', undefined);
      const series = decodeSeries(new Uint8Array(await answer.arrayBuffer()));
      takeFile({ weather, name, months: monthlyMeans(series, zone).months });
    },
  });
}
