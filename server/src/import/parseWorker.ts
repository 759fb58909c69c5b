import type { MessagePort } from 'node:worker_threads';
import { type ReadFile, type ReadingMapping, readReadings } from '@north-pane/core/proof';

/** A file to be read off the main thread. */
export interface ParseTask {
  text: string;
  mapping: ReadingMapping;
  zone: string;
  /** Told how much is read, 0 to 1. */
  port?: MessagePort;
}

/** Reads a file of readings; run in a worker so that nobody else waits for it. */
export default function parse({ text, mapping, zone, port }: ParseTask): ReadFile {
  return readReadings(text, mapping, zone, port ? { onProgress: (share) => port.postMessage(share) } : {});
}
