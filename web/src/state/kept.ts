import type { Job } from '@north-pane/core/document';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { create } from 'zustand';
import { answered, api, queries } from './api';
import { saveNow } from './autosave';
import { type Derived, derive } from './derived';
import { useDocument, useJob } from './job';
import { fieldsMoved, type KeptState } from './moved';

/** A job as it was kept. */
export interface Revision {
  number: number;
  note: string;
  keptAt: Date;
  document: Job;
}

/** Every kept revision of the open job, the newest first. */
export function useRevisions() {
  const id = useJob((state) => state.id) ?? '';
  return useQuery({
    queryKey: ['revisions', id],
    queryFn: () => answered(api.api.jobs[':id'].revisions.$get({ param: { id } })),
    staleTime: 60_000,
    select: (rows): Revision[] =>
      rows.map(({ number, note, keptAt, document }) => ({
        number,
        note,
        keptAt: new Date(keptAt),
        document: document as Job,
      })),
  });
}

/** The last kept revision, its figures, and how many fields have changed since. */
export function useKeptRevision(): (KeptState & { keptAt: Date; derived: Derived }) | undefined {
  const document = useDocument();
  const [last] = useRevisions().data ?? [];
  return useMemo(() => {
    if (!last) return undefined;
    const { number, keptAt, document: kept } = last;
    return { number, keptAt, changes: fieldsMoved(kept, document), derived: derive(kept) };
  }, [last, document]);
}

/** Keeps the job as it stands, after saving what is waiting. */
export function useKeepRevision() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: async (note: string) => {
      await saveNow();
      return answered(api.api.jobs[':id'].revisions.$post({ param: { id }, json: { note } }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['revisions', id] }),
  });
}

/** Takes a kept revision out for good. */
export function useTakeOutRevision() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: (number: number) =>
      answered(api.api.jobs[':id'].revisions[':number'].$delete({ param: { id, number: String(number) } })),
    onSettled: () => queries.invalidateQueries({ queryKey: ['revisions', id] }),
  });
}

interface Asking {
  /** Number of the revision that the job still is, while it is asked whether to keep it again. */
  again: number | undefined;
  /** Why nothing was kept. */
  trouble: string | undefined;
}

export const useKeepAsking = create<Asking>()(() => ({ again: undefined, trouble: undefined }));

/** Keeps the job, but asks first where nothing has changed since it was kept last. */
export function useAskToKeep(): () => void {
  const id = useJob((state) => state.id) ?? '';
  const keep = useKeepRevision();
  return () => {
    const document = useJob.getState().document;
    const rows = queries.getQueryData<{ number: number; document: unknown }[]>(['revisions', id]);
    const [last] = rows ?? [];
    if (document && last && fieldsMoved(last.document as Job, document) === 0)
      useKeepAsking.setState({ again: last.number });
    else
      keep.mutate('', {
        onSuccess: () => useKeepAsking.setState({ trouble: undefined }),
        onError: (error) => useKeepAsking.setState({ trouble: error.message }),
      });
  };
}
