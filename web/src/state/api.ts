import { createClient } from '@north-pane/server/client';
import { QueryClient } from '@tanstack/react-query';

/** Where the page came from; a program beside it, as a test is, asks nobody. */
export const api = createClient(globalThis.window?.location.origin ?? 'http://localhost');
export const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 10_000, retry: 1, refetchOnWindowFocus: true } },
});

/** An answer that was no success: its status, and the server's own words. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly details: unknown,
  ) {
    super(message);
    this.name = 'Refusal';
  }
}

interface Answer {
  ok: boolean;
  status: number;
  json(): Promise<unknown>;
}

/**
 * The body of a successful answer. Throws Refusal with the server's message otherwise, and with plain words when there
 * was no answer at all.
 */
export async function answered<R extends Answer>(
  request: Promise<R>,
): Promise<Exclude<Awaited<ReturnType<R['json']>>, { message: string }>> {
  let answer: R;
  try {
    answer = await request;
  } catch {
    throw new Refusal(0, 'North Pane’s server does not answer. Is it still running?', undefined);
  }
  const details = await answer.json().catch(() => undefined);
  if (!answer.ok) {
    const message = (details as { message?: unknown } | undefined)?.message;
    throw new Refusal(
      answer.status,
      typeof message === 'string' ? message : `The server answered ${answer.status}.`,
      details,
    );
  }
  return details as Exclude<Awaited<ReturnType<R['json']>>, { message: string }>;
}

/** Sends a form and tells how much of it has gone; fetch cannot tell. Throws Refusal; aborting keeps nothing. */
export function sendForm<T>(
  address: string,
  form: FormData,
  options: { onProgress(share: number): void; signal: AbortSignal },
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', address);
    request.responseType = 'json';
    request.upload.onprogress = ({ loaded, total }) => total > 0 && options.onProgress(loaded / total);
    request.onload = () => {
      const details = request.response as { message?: unknown } | null;
      if (request.status < 300) resolve(details as T);
      else
        reject(
          new Refusal(
            request.status,
            typeof details?.message === 'string' ? details.message : `The server answered ${request.status}.`,
            details,
          ),
        );
    };
    request.onerror = () =>
      reject(new Refusal(0, 'North Pane’s server does not answer. Is it still running?', undefined));
    request.onabort = () => reject(new Refusal(0, 'Stopped; nothing was kept.', undefined));
    options.signal.addEventListener('abort', () => request.abort());
    request.send(form);
  });
}
