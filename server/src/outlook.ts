import * as z from 'zod';
import { isTooDeep } from './jsonDepth';

/** What a weather service answers: hourly means from the present hour on. SI, °C; times in ISO with their zone. */
export const forecastSchema = z.object({
  made: z.iso.datetime({ offset: true }),
  hours: z
    .array(
      z.object({
        time: z.iso.datetime({ offset: true }),
        /** W/m² on the flat. */
        global: z.number().min(0).max(1600),
        air: z.number().min(-90).max(65),
        /** m/s at 10 m. */
        wind: z.number().min(0).max(120),
      }),
    )
    .min(24)
    .max(400),
});

export interface Outlook {
  /** Host of the service, for saying where it comes from. */
  source: string;
  /** Whether it is the stand-in that is shipped: made up, no forecast of anything. */
  standIn: boolean;
  made: string;
  hours: { time: number; global: number; air: number; wind: number }[];
}

export interface OutlookQuery {
  latitude: number;
  longitude: number;
  elevation: number;
}
export type OutlookService = (query: OutlookQuery) => Promise<Outlook>;

/** The weather service did not answer, or not in the way that was agreed. */
export class ServiceSilent extends Error {
  constructor(
    readonly source: string,
    why: string,
  ) {
    super(`The weather service at ${source} ${why}. The rest of North Pane does not need it; try again later.`);
    this.name = 'ServiceSilent';
  }
}

/** ms for the whole of an answer. */
const patience = 8000;
/** Bytes of it: three days by the hour are ten thousand. */
const longestAnswer = 500_000;

/** The text of an answer, no further than it may be long. Undefined where it is longer, or ends before its time is over. */
async function textOf(answer: Response, signal: AbortSignal): Promise<string | undefined> {
  const reader = answer.body?.getReader();
  if (!reader) return '';
  const stop = () => void reader.cancel().catch(() => {});
  signal.addEventListener('abort', stop);
  try {
    const parts: Uint8Array[] = [];
    for (let length = 0; ; ) {
      const { done, value } = await reader.read();
      if (signal.aborted) return undefined;
      if (done) return new TextDecoder().decode(Buffer.concat(parts));
      length += value.length;
      if (length > longestAnswer) return undefined;
      parts.push(value);
    }
  } catch {
    return undefined;
  } finally {
    signal.removeEventListener('abort', stop);
    stop();
  }
}

function parsedJson(text: string): unknown {
  try {
    return isTooDeep(text) ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/**
 * Asks a weather service over HTTP for the next three days.
 *
 * @param service.address asked with latitude, longitude, elevation and hours in its query
 * @param service.standIn whether the address is the stand-in
 */
export function outlookFrom(service: {
  address: string;
  standIn: boolean;
  fetch(input: string, init: { signal: AbortSignal; redirect: 'manual' }): Promise<Response>;
  /** ms that an answer may take; the usual where left out. */
  patience?: number;
}): OutlookService {
  const source = new URL(service.address).host;
  return async ({ latitude, longitude, elevation }) => {
    const url = new URL(service.address);
    for (const [name, value] of Object.entries({ latitude, longitude, elevation, hours: 72 }))
      url.searchParams.set(name, String(value));
    const fail = (why: string) => new ServiceSilent(source, why);
    const signal = AbortSignal.timeout(service.patience ?? patience);
    let answer: Response;
    try {
      answer = await service.fetch(url.href, { signal, redirect: 'manual' });
    } catch {
      throw fail('does not answer');
    }
    // Its address is the one that was asked for: what is behind another may be anybody's.
    if (answer.type === 'opaqueredirect' || (answer.status >= 300 && answer.status < 400))
      throw fail('sends elsewhere');
    if (!answer.ok) throw fail(`answered ${answer.status}`);
    const text = await textOf(answer, signal);
    if (text === undefined) throw fail('answers without an end');
    const parsed = forecastSchema.safeParse(parsedJson(text));
    if (!parsed.success) {
      const [issue] = parsed.error.issues;
      throw fail(`sent what cannot be read (${issue?.path.join('.') || 'the whole'}: ${issue?.message ?? ''})`);
    }
    const { made, hours } = parsed.data;
    return {
      source,
      standIn: service.standIn,
      made,
      hours: hours.map(({ time, ...hour }) => ({ ...hour, time: Date.parse(time) })),
    };
  };
}
