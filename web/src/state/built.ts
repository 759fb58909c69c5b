import { type Job, parseJob } from '@north-pane/core/document';
import { withMeasured } from '@north-pane/core/proving';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answered, api, queries } from './api';
import { saveNow, useDocument, useJob } from './job';

/** A design that stood from a moment on. */
export interface Standing {
  document: Job;
  revision: { number: number; note: string; from: Date };
}

export interface Built {
  /** What stands there now. */
  document: Job;
  /** Undefined when nobody has said what was built: then it is the design as drawn now. */
  revision: Standing['revision'] | undefined;
  /** Every design with the time from which it stood, ms since 1970: each reading is held against its own. */
  builds: { from: number; job: Job }[];
}

/** Every build of the open job, the newest first. */
export function useBuilds() {
  const id = useJob((state) => state.id) ?? '';
  return useQuery({
    queryKey: ['builds', id],
    queryFn: async () => {
      const rows = await answered(api.api.jobs[':id'].builds.$get({ param: { id } }));
      return rows.flatMap(({ document, ...row }) => {
        const parsed = parseJob(document);
        return parsed.ok ? [{ ...row, document: parsed.job }] : [];
      });
    },
    staleTime: 60_000,
  });
}

/** Takes back that something was built. */
export function useTakeBackBuild() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: (build: number) =>
      answered(api.api.jobs[':id'].builds[':build'].$delete({ param: { id, build: String(build) } })),
    onSettled: () => queries.invalidateQueries({ queryKey: ['builds', id] }),
  });
}

/** The designs that measurements are held against: the revisions that were built, else the one on the bench. */
export function useBuilt(): Built {
  const document = useDocument();
  const builds = useBuilds();
  const stood = (builds.data ?? []).map(
    ({ number, note, installedFrom, document: drawn }): Standing => ({
      // Tests by hand are of what stands there, whenever they were made.
      document: withMeasured(drawn, document.asBuilt),
      revision: { number, note, from: new Date(installedFrom) },
    }),
  );
  const [last] = stood;
  if (!last) return { document, revision: undefined, builds: [{ from: 0, job: document }] };
  return {
    document: last.document,
    revision: last.revision,
    builds: stood.map((one) => ({ from: one.revision.from.getTime(), job: one.document })),
  };
}

/** Says that the job was built as it is drawn now: keeps a revision and notes from when it stands. */
export function useSayBuilt() {
  const id = useJob((state) => state.id) ?? '';
  return useMutation({
    mutationFn: async (from: Date) => {
      const version = await saveNow();
      const kept = await answered(
        api.api.jobs[':id'].revisions.$post({ param: { id }, json: { note: 'as built', version } }),
      );
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
