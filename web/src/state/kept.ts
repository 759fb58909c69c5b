import { changesBetween, type Job } from '@north-pane/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answered, api, queries } from './api';
import { saveNow } from './autosave';
import { type Derived, derive } from './derived';
import { useDocument, useJob } from './job';

/** The last kept revision, its figures, and how many fields have changed since. */
export function useKeptRevision(): { number: number; keptAt: Date; changes: number; derived: Derived } | undefined {
  const id = useJob((state) => state.id) ?? '';
  const document = useDocument();
  const revisions = useQuery({
    queryKey: ['revisions', id],
    queryFn: () => answered(api.api.jobs[':id'].revisions.$get({ param: { id } })),
    staleTime: 60_000,
  });
  const last = revisions.data?.[0];
  if (!last) return undefined;
  const kept = last.document as Job;
  return {
    number: last.number,
    keptAt: new Date(last.keptAt),
    changes: changesBetween({ ...kept, decisions: null }, { ...document, decisions: null }).length,
    derived: derive(kept),
  };
}

/** Which revision this is, and how far it has moved on from it. */
export function revisionWords(kept: ReturnType<typeof useKeptRevision>): string {
  if (!kept) return 'no revision kept';
  const moved = kept.changes === 1 ? '1 change' : `${kept.changes} changes`;
  return kept.changes === 0 ? `revision ${kept.number}` : `revision ${kept.number} and ${moved}`;
}

/** Keeps the job as it stands, after saving what is waiting. */
export function useKeepRevision() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: async () => {
      await saveNow();
      return answered(api.api.jobs[':id'].revisions.$post({ param: { id }, json: { note: '' } }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['revisions', id] }),
  });
}
