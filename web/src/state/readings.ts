import type { Reading, Sensors } from '@north-pane/core/proof';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answered, api, queries } from './api';
import { useJob } from './job';

export interface Source {
  id: number;
  name: string;
  sensors: Sensors;
  count: number;
  readings: Reading[];
}

/** Where readings came from, with the readings themselves. */
export function useSources() {
  const id = useJob((state) => state.id) ?? '';
  return useQuery({
    queryKey: ['readings', id],
    queryFn: async () => (await answered(api.api.jobs[':id'].readings.$get({ param: { id } }))) as Source[],
    staleTime: 60_000,
  });
}

export function refreshSources(id: string): Promise<void> {
  return queries.invalidateQueries({ queryKey: ['readings', id] });
}

/** Takes readings of a name out for good: those between two moments, ms since 1970, or all. */
export function useTakeOutReadings() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: ({ source, from, to }: { source: string; from?: number; to?: number }) =>
      answered(
        api.api.jobs[':id'].readings.$delete({
          param: { id },
          query: { source, ...(from === undefined || to === undefined ? {} : { from: String(from), to: String(to) }) },
        }),
      ),
    onSettled: () => refreshSources(id),
  });
}
