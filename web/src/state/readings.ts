import type { Reading, Sensors } from '@north-pane/core';
import { useQuery } from '@tanstack/react-query';
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
