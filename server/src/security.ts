import type { MiddlewareHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { secureHeaders } from 'hono/secure-headers';
import { isTooDeep } from './jsonDepth';

const loopback = new Set(['localhost', '127.0.0.1', '[::1]']);

function hostnameOf(host: string): string {
  return host.replace(/:\d+$/, '');
}

/**
 * Refuses callers that did not mean this machine: a Host that is no loopback name (a strange page that has made its own
 * name point here), and a write whose Origin is another site.
 */
export const knownCallers: MiddlewareHandler = async (context, next) => {
  // A strange page may not have this machine work out drawings and lists for it: browsers say where a request comes from.
  const from = context.req.header('sec-fetch-site');
  const costly = context.req.path.startsWith('/api/');
  if (costly && from !== undefined && from !== 'same-origin' && from !== 'none')
    return context.json({ message: 'This came from another site and was refused.' }, 403);
  const host = context.req.header('host') ?? '';
  if (!loopback.has(hostnameOf(host)))
    return context.json({ message: 'North Pane answers on this machine only: open it as http://localhost.' }, 403);
  const origin = context.req.header('origin');
  const reading = context.req.method === 'GET' || context.req.method === 'HEAD';
  if (!reading && origin !== undefined && (!URL.canParse(origin) || new URL(origin).host !== host))
    return context.json({ message: 'This came from another site and was refused.' }, 403);
  return next();
};

/** Nothing from elsewhere; styles inline because the component library writes them; WASM for the solver. */
export const headers = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    workerSrc: ["'self'", 'blob:'],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  },
  strictTransportSecurity: false,
});

/** Refuses a body that is larger, and JSON that is nested so deep that walking through it would break. */
export function limitBody(megabytes: number): MiddlewareHandler {
  const limit = bodyLimit({
    maxSize: megabytes * 1024 * 1024,
    onError: (context) =>
      context.json(
        { message: `That is larger than ${megabytes} MB. Cut the file into parts and send them one by one.` },
        413,
      ),
  });
  return (context, next) =>
    limit(context, async () => {
      const isJson = context.req.header('content-type')?.startsWith('application/json');
      if (isJson && isTooDeep(await context.req.text()))
        context.res = context.json(
          { message: 'That has brackets in brackets without an end. Nothing of it was kept.' },
          422,
        );
      else await next();
    });
}
