import pg from 'pg';
import { jobChannel } from './events';

/** Hears what any server that shares the database has told of a job. */
export interface Listener {
  /**
   * Tells which job has changed.
   *
   * @param lost called after a gap: nobody knows what was missed
   * @returns the way to stop
   */
  onAny(hear: (jobId: string) => void, lost: () => void): () => void;
  close(): Promise<void>;
}

/** ms between tries when the connection is lost. */
const retry = 1000;

/**
 * Listens on a connection of its own: opened when somebody first asks, and again whenever it is lost.
 */
export function listenForJobs(url: string): Listener {
  const hearers = new Set<{ hear(jobId: string): void; lost(): void }>();
  let client: pg.Client | undefined;
  let closed = false;
  let timer: NodeJS.Timeout | undefined;
  let opened = false;
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
      for (const one of hearers) one.hear(payload ?? '');
    });
    try {
      await mine.connect();
      await mine.query(`listen ${jobChannel}`);
      if (opened) for (const one of hearers) one.lost();
      opened = true;
    } catch {
      lose();
    }
  };
  return {
    onAny: (hear, lost) => {
      const one = { hear, lost };
      hearers.add(one);
      void open();
      return () => {
        hearers.delete(one);
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
