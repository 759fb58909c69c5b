import { hc } from 'hono/client';
import type { App } from './app';

/** The typed client of the server: all that the web knows of it. */
export function createClient(
  base: string,
  fetch?: (input: RequestInfo | URL, init?: RequestInit) => Promise<Response>,
) {
  return hc<App>(base, fetch ? { fetch } : {});
}
export type Client = ReturnType<typeof createClient>;
