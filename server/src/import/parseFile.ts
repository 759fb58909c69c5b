import { MessageChannel } from 'node:worker_threads';
import type { ReadFile } from '@north-pane/core/proof';
import Piscina from 'piscina';
import type { ParseTask } from './parseWorker';

/** Beside the bundled server lies the bundled worker; under tsx a stub that brings the source. */
const worker = new URL(import.meta.url.endsWith('.ts') ? './parseWorker.mjs' : './parseWorker.js', import.meta.url);

let pool: Piscina | undefined;

/** MB that reading one file may take: a million rows take half of it. A file that needs more ends its worker and nothing else. */
const memory = 1500;

/**
 * Reads a file of readings in a worker: a large one takes seconds, and everybody else would wait for it. One at a time; others queue.
 *
 * @param options.signal ends the worker
 */
export async function parseFile(
  task: Omit<ParseTask, 'port'>,
  options: { onProgress?: (share: number) => void; signal?: AbortSignal } = {},
): Promise<ReadFile> {
  pool ??= new Piscina({
    filename: worker.href,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: memory },
  });
  const { port1, port2 } = new MessageChannel();
  port1.on('message', (share: number) => options.onProgress?.(share));
  port1.unref();
  try {
    return (await pool.run(
      { ...task, port: port2 },
      { transferList: [port2], ...(options.signal ? { signal: options.signal } : {}) },
    )) as ReadFile;
  } finally {
    port1.close();
  }
}

/** Ends the worker, if there is one. */
export async function closeParser(): Promise<void> {
  await pool?.destroy();
  pool = undefined;
}
