import { hc } from 'hono/client';
import type { App } from './app';

/** The typed client of the server: all that the web knows of it. */
export function createClient(base: string) {
  return hc<App>(base);
}
export type Client = ReturnType<typeof createClient>;
