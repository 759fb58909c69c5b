import { type Job, parseJob } from '@north-pane/core/document';
import { useMutation, useQueries, useQuery } from '@tanstack/react-query';
import { create } from 'zustand';
import { answered, api, queries, Refusal } from './api';
import { saveNow, useDocument, useJob } from './job';
import { fieldsMoved, type KeptState } from './moved';

/** A job as it was kept, without its document. */
export interface RevisionLine {
  number: number;
  note: string;
  keptAt: Date;
}

/** Every kept revision of the open job, the newest first. */
export function useRevisions() {
  const id = useJob((state) => state.id) ?? '';
  return useQuery({
    queryKey: ['revisions', id],
    queryFn: () => answered(api.api.jobs[':id'].revisions.$get({ param: { id } })),
    staleTime: 60_000,
    select: (rows): RevisionLine[] =>
      rows.map(({ number, note, keptAt }) => ({ number, note, keptAt: new Date(keptAt) })),
  });
}

/** How one revision is fetched: it never changes. */
function revisionQuery(id: string, number: number) {
  return {
    queryKey: ['revision', id, number],
    queryFn: async (): Promise<Job> => {
      const found = await answered(
        api.api.jobs[':id'].revisions[':number'].$get({ param: { id, number: String(number) } }),
      );
      const parsed = parseJob((found as { document?: unknown }).document);
      if (!parsed.ok) throw new Refusal(422, 'This version cannot be read.', undefined);
      return parsed.job;
    },
    staleTime: Number.POSITIVE_INFINITY,
  };
}

/** The documents of some revisions, by their numbers, as they come in. */
export function useRevisionDocuments(numbers: readonly number[]): ReadonlyMap<number, Job> {
  const id = useJob((state) => state.id) ?? '';
  return useQueries({
    queries: numbers.map((number) => revisionQuery(id, number)),
    combine: (found) =>
      new Map(numbers.flatMap((number, index) => (found[index]?.data ? [[number, found[index].data] as const] : []))),
  });
}

/** The last kept revision, its document, and how many fields have changed since. */
export function useKeptRevision(): (KeptState & { keptAt: Date; document: Job }) | undefined {
  const id = useJob((state) => state.id) ?? '';
  const document = useDocument();
  const [last] = useRevisions().data ?? [];
  const kept = useQuery({ ...revisionQuery(id, last?.number ?? 0), enabled: last !== undefined }).data;
  if (!last || !kept) return undefined;
  const { number, keptAt } = last;
  return { number, keptAt, changes: fieldsMoved(kept, document), document: kept };
}

/** Keeps the job as it stands, once what is waiting is saved. */
export function useKeepRevision() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    networkMode: 'always',
    mutationFn: async (note: string) => {
      const version = await saveNow();
      return answered(api.api.jobs[':id'].revisions.$post({ param: { id }, json: { note, version } }));
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

/** Another job with the design of this one, or of one of its revisions. */
export function useCopyJob() {
  return useMutation({
    mutationFn: ({ id, name, revision }: { id: string; name: string; revision?: number }) =>
      answered(
        api.api.jobs[':id'].copies.$post({
          param: { id },
          json: { name, ...(revision === undefined ? {} : { revision }) },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['jobs'] }),
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
    const [last] = queries.getQueryData<{ number: number }[]>(['revisions', id]) ?? [];
    const kept = last && queries.getQueryData<Job>(['revision', id, last.number]);
    if (document && last && kept && fieldsMoved(kept, document) === 0) useKeepAsking.setState({ again: last.number });
    else
      keep.mutate('', {
        onSuccess: () => useKeepAsking.setState({ trouble: undefined }),
        onError: (error) => useKeepAsking.setState({ trouble: error.message }),
      });
  };
}
