import { type Job, withMeasured } from '@north-pane/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answered, api, queries } from './api';
import { saveNow } from './autosave';
import { useDocument, useJob } from './job';

export interface Built {
  document: Job;
  /** Undefined when nobody has said what was built: then it is the design as drawn now. */
  revision: { number: number; note: string; from: Date } | undefined;
}

/** The design that measurements are held against: the revision that was built last, else the one on the bench. */
export function useBuilt(): Built {
  const id = useJob((state) => state.id) ?? '';
  const document = useDocument();
  const builds = useQuery({
    queryKey: ['builds', id],
    queryFn: () => answered(api.api.jobs[':id'].builds.$get({ param: { id } })),
    staleTime: 60_000,
  });
  const last = builds.data?.[0];
  if (!last) return { document, revision: undefined };
  return {
    // Tests by hand are of what stands there, whenever they were made.
    document: withMeasured(last.document as Job, document.asBuilt),
    revision: { number: last.number, note: last.note, from: new Date(last.installedFrom) },
  };
}

/** Says that the job was built as it is drawn now: keeps a revision and notes from when it stands. */
export function useSayBuilt() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: async (from: Date) => {
      await saveNow();
      const kept = await answered(api.api.jobs[':id'].revisions.$post({ param: { id }, json: { note: 'as built' } }));
      await answered(
        api.api.jobs[':id'].builds.$post({
          param: { id },
          json: { revisionId: kept.id, installedFrom: from.toISOString() },
        }),
      );
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['builds', id] });
      await queries.invalidateQueries({ queryKey: ['revisions', id] });
    },
  });
}
