import './station.fixture';
import { ChakraProvider } from '@chakra-ui/react';
import { type Change, defaultJob, type Job, mergeChanges } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { IDBFactory } from 'fake-indexeddb';
import { clear, createStore } from 'idb-keyval';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { queries } from '../state/api';
import { system } from '../theme/system';
import { workHere } from '../workers/here.fixture';
import { routes } from './routes';
import {
  type Answers,
  type Asked,
  leaveStation,
  refusal,
  rest,
  serve,
  soon,
  textIn,
  type User,
} from './station.fixture';

const browserStore = new IDBFactory();

/** Nothing is heard from other windows here. */
class NoEvents extends EventTarget {
  close() {}
}

/** What the server keeps of one job, in memory: it merges as the real one does. */
export class KeptJob {
  key = crypto.randomUUID() as string;
  version = 1;
  /** The saves that made each version. */
  stamps = new Map([[1, 'begun']]);
  events: ShopEvent[] = [];
  revisions: { id: number; number: number; note: string; keptAt: string; document: Job }[] = [];
  builds: { id: number; revisionId: number; number: number; note: string; installedFrom: string; document: Job }[] = [];
  readonly asked: Asked[] = [];

  constructor(public document: Job = defaultJob('harp')) {}

  /** How often something was asked for. */
  count(method: string, end: string): number {
    return this.asked.filter((one) => one.method === method && one.path.endsWith(end)).length;
  }
  answers(more: Answers = {}): Answers {
    const heard = (answer: (asked: Asked) => unknown) => (asked: Asked) => {
      this.asked.push(asked);
      const key = (asked.body as { key?: string } | undefined)?.key;
      return key === undefined || key === this.key ? answer(asked) : refusal(404, 'There is no such job.');
    };
    return {
      '/jobs/nowhere': () => refusal(404, 'There is no job “nowhere” on this shelf.'),
      '/jobs/shed/changes': heard((asked) => this.#change(asked)),
      '/jobs/shed/events': heard((asked) => this.#events(asked)),
      '/jobs/shed/revisions': heard((asked) => this.#revisions(asked)),
      '/jobs/shed/builds': heard(() => this.builds),
      '/jobs/shed/stands': () => this.#stands(),
      '/jobs/shed': (asked: Asked) => {
        const version = Number(asked.query.get('version') ?? 1);
        const stamp = asked.query.get('stamp') ?? this.stamps.get(version);
        const parted = version > this.version || this.stamps.get(version) !== stamp;
        return { ...this.#stands(), document: this.document, parted };
      },
      '/api/jobs': () => ({ jobs: [this.#card()], more: false }),
      ...more,
      ...Object.fromEntries(
        this.revisions.map((one) => [
          `/revisions/${one.number}`,
          heard(({ method }) => {
            if (method !== 'DELETE') return one;
            this.revisions = this.revisions.filter((other) => other !== one);
            return {};
          }),
        ]),
      ),
    };
  }
  #card() {
    const { name, units, currency } = this.document;
    const updatedAt = '2026-06-21T12:00:00Z';
    return {
      id: 'shed',
      version: this.version,
      name,
      units,
      currency,
      panels: 1,
      clashes: 0,
      putAway: false,
      updatedAt,
    };
  }
  #stands() {
    const { key, version } = this;
    return { key, version, stamp: this.stamps.get(version) ?? '', seq: this.events.length, mark: '' };
  }
  #change({ body }: Asked): unknown {
    const { changes, save } = body as { changes: Change[]; save: string };
    const merged = mergeChanges(this.document, changes);
    if (!merged.ok) return refusal(409, 'Another hand has changed this.');
    const stamp = `${this.stamps.get(this.version)} ${save}`;
    this.version += 1;
    this.stamps.set(this.version, stamp);
    this.document = merged.document;
    return { version: this.version, stamp, document: this.document };
  }
  #events({ method, body, query }: Asked): unknown {
    if (method === 'POST') {
      const known = new Set(this.events.map(({ id }) => id));
      this.events.push(...(body as { events: ShopEvent[] }).events.filter(({ id }) => !known.has(id)));
      return { added: 1, seq: this.events.length, refused: [] };
    }
    return { events: this.events.slice(Number(query.get('after') ?? 0)), seq: this.events.length, more: false };
  }
  #revisions({ method, body }: Asked): unknown {
    if (method !== 'POST') return [...this.revisions].reverse();
    const number = (this.revisions.at(-1)?.number ?? 0) + 1;
    const { note } = body as { note: string };
    this.revisions.push({ id: number, number, note, keptAt: '2026-06-21T12:00:00Z', document: this.document });
    serve(this.answers());
    return { id: number, number };
  }
}

let router: ReturnType<typeof createMemoryRouter> | undefined;
/** The address that the page is at. */
export const address = (): string => router?.state.location.pathname ?? '';

/** Opens the whole page at an address, shelf or station, with the shell about it. */
export async function openPage(path = '/jobs/shed/size', kept = new KeptJob(), more: Answers = {}): Promise<User> {
  leaveStation();
  Object.assign(globalThis, { EventSource: NoEvents, indexedDB: browserStore });
  // What an earlier page had in local storage is not seen by this one.
  await clear(createStore('north-pane', 'laid-by'));
  window.localStorage.clear();
  await loads(path, kept, more);
  return userEvent.setup({ delay: null, pointerEventsCheck: 0 });
}

/** Loads the page again, as a browser does: what was set stays in the window's own store. */
export async function reloads(kept: KeptJob, here = address()): Promise<void> {
  const session = { ...window.sessionStorage };
  window.dispatchEvent(new Event('pagehide'));
  leaveStation();
  for (const [key, value] of Object.entries(session)) window.sessionStorage.setItem(key, value);
  await loads(here, kept, {});
}

async function loads(path: string, kept: KeptJob, more: Answers): Promise<void> {
  workHere({});
  serve(kept.answers(more));
  const opened = createMemoryRouter(routes, { initialEntries: [path] });
  router = opened;
  render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <RouterProvider router={opened} />
      </QueryClientProvider>
    </ChakraProvider>,
  );
  await soon(() => {
    if (!document.querySelector('h1') || document.body.textContent?.includes('Loading…')) throw new Error('not yet');
  });
  await rest();
}

/** Puts the focus on an element. */
export async function focus(element: HTMLElement | SVGElement): Promise<void> {
  await act(async () => element.focus());
}

/** Presses keys one after the other, as user-event writes them. */
export async function keys(user: User, ...combinations: string[]): Promise<void> {
  for (const one of combinations) {
    await user.keyboard(one);
    await rest();
  }
}

/** Goes to a station by its rail. */
export async function goTo(user: User, name: RegExp): Promise<void> {
  const link = [...document.querySelectorAll('nav a')].find((one) => name.test(textIn(one)));
  if (!link) throw new Error(`no station ${name}`);
  await user.click(link);
  await soon(() => {
    if (link.getAttribute('aria-current') !== 'page') throw new Error('not there yet');
  });
  await rest();
}

/** What the head of the job says. */
export const head = (): string => textIn(document.querySelector('header') ?? document.body);

/** Waits until everything that was changed is on the server. */
export async function saved(): Promise<void> {
  await soon(() => {
    if (!/, saved/.test(head())) throw new Error(`not saved: ${head()}`);
  });
}
