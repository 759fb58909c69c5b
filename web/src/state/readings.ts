import type { Reading, Sensors } from '@north-pane/core/proof';
import { useInfiniteQuery, useMutation } from '@tanstack/react-query';
import { answered, api, queries } from './api';
import { useJob } from './job';

export interface Source {
  id: number;
  name: string;
  sensors: Sensors;
  count: number;
  readings: Reading[];
}

/** Where readings came from, with the newest of them; older ones come page by page when they are asked for. */
export function useSources() {
  const id = useJob((state) => state.id) ?? '';
  return useInfiniteQuery({
    queryKey: ['readings', id],
    queryFn: async ({ pageParam }) =>
      (await answered(
        api.api.jobs[':id'].readings.$get({
          param: { id },
          query: pageParam === undefined ? {} : { before: String(pageParam) },
        }),
      )) as Source[],
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page, pages) => {
      const read = (name: string) =>
        pages.flat().reduce((sum, one) => (one.name === name ? sum + one.readings.length : sum), 0);
      const left = page.filter((one) => one.readings.length > 0 && read(one.name) < one.count);
      // From the latest beginning of those that have more: what is read twice stands once.
      return left.length > 0 ? Math.max(...left.map(({ readings }) => readings[0]?.time ?? 0)) : undefined;
    },
    select: ({ pages }): Source[] => joined(pages),
    staleTime: 60_000,
  });
}

/** Pages of readings, the newest page first, as one list of sources with all that was read. */
export function joined(pages: readonly (readonly Source[])[]): Source[] {
  const [newest = []] = pages;
  return newest.map((source) => {
    const byTime = new Map(
      pages
        .flat()
        .filter(({ name }) => name === source.name)
        .flatMap(({ readings }) => readings.map((reading) => [reading.time, reading] as const)),
    );
    return { ...source, readings: [...byTime.values()].sort((a, b) => a.time - b.time) };
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
