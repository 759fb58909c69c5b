import type { ReadingMapping, Sensors } from '@north-pane/core/proof';
import { Refusal } from './api';

/** What came of looking through a file of readings, or of keeping its good rows. */
export interface ImportReport {
  kept: boolean;
  added: number;
  known: number;
  /** Cells of which nobody has said what their comma means. */
  doubtful: number;
  differing: { count: number; times: number[] };
  refused: { count: number; lines: { line: number; reason: string }[] };
}

type Line = { percent: number } | { report: ImportReport } | { message: string; status: number };

/** The lines of JSON of an answer, as they come. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<Line> {
  const reader = (body as ReadableStream<BufferSource>).pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = `${rest}${value}`.split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line) yield JSON.parse(line) as Line;
  }
}

/**
 * Sends a file of readings to be looked through or kept, and tells how far it has come. Throws Refusal; aborting keeps nothing.
 */
export async function importReadings(
  jobId: string,
  query: {
    text: string;
    mapping: ReadingMapping;
    source: string;
    sensors: Sensors;
    keep: 'nothing' | 'good rows';
  },
  options: { onProgress(percent: number): void; signal: AbortSignal },
): Promise<ImportReport> {
  let answer: Response;
  try {
    answer = await fetch(`/api/jobs/${encodeURIComponent(jobId)}/readings/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson' },
      body: JSON.stringify(query),
      signal: options.signal,
    });
  } catch {
    throw new Refusal(
      0,
      options.signal.aborted
        ? 'Stopped; nothing was kept.'
        : 'North Pane’s server does not answer. Is it still running?',
      undefined,
    );
  }
  if (!answer.ok || !answer.body) {
    const details = (await answer.json().catch(() => undefined)) as { message?: string } | undefined;
    throw new Refusal(answer.status, details?.message ?? `The server answered ${answer.status}.`, details);
  }
  try {
    for await (const line of linesOf(answer.body)) {
      if ('percent' in line) options.onProgress(line.percent);
      else if ('report' in line) return line.report;
      else throw new Refusal(line.status, line.message, undefined);
    }
  } catch (error) {
    if (options.signal.aborted) throw new Refusal(0, 'Stopped; nothing was kept.', undefined);
    throw error;
  }
  throw new Refusal(
    0,
    'The answer broke off. Nothing was kept unless it said so; look through the file once more.',
    undefined,
  );
}
