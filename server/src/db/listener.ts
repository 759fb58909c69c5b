import pg from 'pg';
import { jobChannel } from './events';

/** Hears what any server that shares the database has told of a job. */
export interface Listener {
  /** @returns the way to stop */
  on(jobId: string, hear: () => void): () => void;
  close(): Promise<void>;
}

/** ms between tries when the connection is lost. */
const retry = 1000;

/**
 * Listens on a connection of its own: opened when somebody first asks, and again whenever it is lost. After a gap everybody is told, since
 * nobody knows what was missed.
 */
export function listenForJobs(url: string): Listener {
  const hearers = new Map<string, Set<() => void>>();
  let client: pg.Client | undefined;
  let closed = false;
  let timer: NodeJS.Timeout | undefined;
  const tellAll = () => {
    for (const set of hearers.values()) for (const hear of set) hear();
  };
  const open = async () => {
    if (client || closed) return;
    const mine = new pg.Client({ connectionString: url });
    client = mine;
    const lose = () => {
      if (client !== mine) return;
      client = undefined;
      void mine.end().catch(() => {});
      if (!closed && hearers.size > 0) timer = setTimeout(() => void open(), retry).unref();
    };
    mine.on('error', lose);
    mine.on('end', lose);
    mine.on('notification', ({ payload }) => {
      for (const hear of hearers.get(payload ?? '') ?? []) hear();
    });
    try {
      await mine.connect();
      await mine.query(`listen ${jobChannel}`);
      tellAll();
    } catch {
      lose();
    }
  };
  return {
    on: (jobId, hear) => {
      const set = hearers.get(jobId) ?? new Set();
      hearers.set(jobId, set.add(hear));
      void open();
      return () => {
        set.delete(hear);
        if (set.size === 0 && hearers.get(jobId) === set) hearers.delete(jobId);
      };
    },
    close: async () => {
      closed = true;
      clearTimeout(timer);
      const mine = client;
      client = undefined;
      await mine?.end().catch(() => {});
    },
  };
}
