import '../dom.fixture';
import { ChakraProvider } from '@chakra-ui/react';
import { defaultJob, type Job } from '@north-pane/core/document';
import { patient } from '@north-pane/core/fixtures/work';
import { type MaterialPlan, proveMaterial } from '@north-pane/core/shop';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, configure, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expose } from 'comlink';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { queries } from '../state/api';
import { useJob } from '../state/job';
import { openSync } from '../state/sync/state';
import { useView } from '../state/view';
import Build from '../stations/build';
import Cut from '../stations/cut';
import Forecast from '../stations/forecast';
import Pick from '../stations/pick';
import Place from '../stations/place';
import Prove from '../stations/prove';
import Size from '../stations/size';
import { system } from '../theme/system';
import { heavy } from '../workers/heavy';

// Whether something can be seen is asked in a browser: here it costs a second each time. What is missing is named without the whole page.
configure({ defaultHidden: true, getElementError: (message) => new Error(message?.split('\n')[0]) });

/** Loaded with the test: a module that is loaded later would have a state of its own here. */
const screens = { place: Place, pick: Pick, size: Size, cut: Cut, build: Build, forecast: Forecast, prove: Prove };
export type StationId = keyof typeof screens;

/** What the worker of plans offers, in this process; no sizes are swept for. */
const cut = {
  prove: async (materials: readonly MaterialPlan[]) => {
    const how = await patient();
    return Promise.all(materials.map((material) => proveMaterial(material, how)));
  },
  points: () => ({ points: [] }),
};

/** Whether the worker finds what lies deeper on the bench: bands of hundreds of draws, which few tests ask for. */
let deep = true;
const works = {
  ...heavy,
  bench: (...given: Parameters<typeof heavy.bench>): ReturnType<typeof heavy.bench> =>
    deep ? heavy.bench(...given) : { bands: undefined, sections: [], marks: { value: [] } },
};

/** A worker in this process: the same messages, and the same work. */
class WorkerHere extends EventTarget {
  readonly #port: MessagePort;
  constructor(address: URL | string) {
    super();
    const { port1, port2 } = new MessageChannel();
    expose(String(address).includes('heavy') ? works : cut, port2 as unknown as Parameters<typeof expose>[1]);
    this.#port = port1;
    // Neither keeps the tests from ending.
    for (const port of [port1, port2]) (port as unknown as { unref(): void }).unref();
  }
  postMessage(message: unknown, transfer: Transferable[] = []) {
    this.#port.postMessage(message, transfer);
  }
  override addEventListener(kind: string, hear: EventListenerOrEventListenerObject) {
    this.#port.addEventListener(kind, hear);
    this.#port.start();
    // It listens, and does not keep the tests from ending.
    (this.#port as unknown as { unref(): void }).unref();
  }
  override removeEventListener(kind: string, hear: EventListenerOrEventListenerObject) {
    this.#port.removeEventListener(kind, hear);
  }
  terminate() {
    this.#port.close();
  }
}

export type User = ReturnType<typeof userEvent.setup>;

/** Answers of the server by the end of their address; what is not told of is an empty list. */
type Answers = Record<string, unknown>;

/** A weather service that has nothing to say. */
const calm = { hours: [], standIn: true, source: 'made up', made: '2026-06-01T00:00:00Z' };

export { screen };

/** As the process has it: other tests talk to a server of their own. */
const ownFetch = globalThis.fetch;

function serve(answers: Answers): void {
  globalThis.fetch = (async (input: RequestInfo | URL) => {
    const { pathname } = new URL(String(input instanceof Request ? input.url : input), 'http://localhost');
    const found =
      Object.entries(answers).find(([path]) => pathname.endsWith(path))?.[1] ??
      (pathname.endsWith('/outlook') ? calm : []);
    return new Response(JSON.stringify(found), { status: 200, headers: { 'content-type': 'application/json' } });
  }) as typeof fetch;
}

/** Lets everything come to rest that is worked out, or waits for a moment of quiet. */
export async function rest(): Promise<void> {
  const { dataset } = document.documentElement;
  for (let still = 0; still < 4; ) {
    await act(() => new Promise((resolve) => setTimeout(resolve, 3)));
    still = dataset.busy === undefined ? still + 1 : 0;
  }
}

/** Looks again each time that the page has come to rest, until what is looked for is there. */
export async function soon<T>(look: () => T): Promise<T> {
  for (let tries = 0; tries < 200; tries += 1) {
    try {
      return look();
    } catch {
      await rest();
    }
  }
  return look();
}

/**
 * Opens a station of a job as the shell does, and waits until it has come to rest.
 *
 * @param options.shallow without what lies deeper on the bench
 * @returns the hands of a user
 */
export async function openStation(id: StationId, job: Job = defaultJob('harp'), options: Opening = {}): Promise<User> {
  const Screen = screens[id];
  return openBeside(
    <main>
      <Screen />
    </main>,
    job,
    { ...options, address: `/jobs/shed/${id}` },
  );
}

interface Opening {
  events?: ShopEvent[];
  answers?: Answers;
  shallow?: boolean;
  address?: string;
}

/** Opens anything that is drawn of an open job: a part of the shell, or a station. */
export async function openBeside(
  drawn: ReactNode,
  job: Job = defaultJob('harp'),
  { events = [], answers = {}, shallow = false, address = '/jobs/shed/size' }: Opening = {},
): Promise<User> {
  leaveStation();
  deep = !shallow;
  Object.assign(globalThis, { Worker: WorkerHere });
  serve(answers);
  useJob.getState().open('shed', openSync({ version: 1, document: job }, { events, seq: events.length }), () => {});
  render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <MemoryRouter initialEntries={[address]}>{drawn}</MemoryRouter>
      </QueryClientProvider>
    </ChakraProvider>,
  );
  await rest();
  // Whether a pointer reaches it is asked in a browser.
  return userEvent.setup({ delay: null, pointerEventsCheck: 0 });
}

/** Errors written to the console while something runs: React reports duplicate keys and other faults there. */
export async function consoleErrors(work: () => Promise<unknown>): Promise<string[]> {
  const errors: string[] = [];
  // biome-ignore lint/suspicious/noConsole: this collects what is written there
  const own = console.error;
  console.error = (...words) => errors.push(words.map(String).join(' '));
  try {
    await work();
  } finally {
    console.error = own;
  }
  return errors;
}

/** Puts everything back as it was before a station was opened. */
export function leaveStation(): void {
  cleanup();
  globalThis.fetch = ownFetch;
  queries.clear();
  window.sessionStorage.clear();
  useView.setState({ habit: undefined, folded: {}, light: 'machine' });
  useJob.getState().close();
}

/** The open job's document, and how it stands in the shop. */
export const documentNow = (): Job => useJob.getState().document as Job;
export const shopOf = () => useJob.getState().shop;
export const panelNow = () => documentNow().heaters['panel-a'] as Job['heaters'][string];

/** What a reader calls an element: its label, what labels it, or its words. */
function nameOf(element: Element): string {
  const by = element.getAttribute('aria-labelledby');
  const label = element.getAttribute('aria-label') ?? (by ? textIn(document.getElementById(by) ?? element) : undefined);
  return (label ?? textIn(element)).trim();
}

/** The first element of a kind with a name, whole or by a pattern; throws where there is none. */
export function find(selector: string, name: string | RegExp, inside: ParentNode = document.body): HTMLElement {
  const found = [...inside.querySelectorAll<HTMLElement>(selector)].find((one) => {
    const own = nameOf(one).replaceAll(/[\s\u00a0\u2009\u200a]+/g, ' ');
    return typeof name === 'string' ? own === name : name.test(own);
  });
  if (!found) throw new Error(`no ${selector} named ${name}`);
  return found;
}

const buttons = 'button, [role="button"], a[href], [role="radio"], [role="checkbox"], summary';

/** A section of the page by its title. */
export const region = (name: string | RegExp): HTMLElement => find('section, [role="region"]', name);

/** A button by its name. */
export const button = (name: string | RegExp, inside?: ParentNode): HTMLElement => find(buttons, name, inside);

/** Presses what has a name and waits for what comes of it. */
export async function press(user: User, name: string | RegExp, inside?: ParentNode) {
  await user.click(button(name, inside));
  await rest();
}

/** A field by its label. */
export function field(label: string | RegExp, inside: ParentNode = document.body): HTMLElement {
  const own = [...inside.querySelectorAll('[aria-label]')].filter((one) =>
    /^(INPUT|SELECT|TEXTAREA)$/.test(one.tagName),
  );
  const fits = (text: string) => (typeof label === 'string' ? text.trim() === label : label.test(text.trim()));
  const direct = own.find((one) => fits(one.getAttribute('aria-label') ?? ''));
  if (direct) return direct as HTMLElement;
  const words = [...inside.querySelectorAll('label')].find((one) => fits(textIn(one)));
  const held = words?.htmlFor
    ? document.getElementById(words.htmlFor)
    : words?.querySelector<HTMLElement>('input, select, textarea');
  if (!held) throw new Error(`no field labelled ${label}`);
  return held;
}

/** Chooses from a list by its label. */
export async function choose(label: string | RegExp, value: string, inside?: ParentNode) {
  const list = field(label, inside) as HTMLSelectElement;
  const option = [...list.options].find((one) => one.value === value || one.text === value);
  if (!option) throw new Error(`${label} has no ${value}: ${[...list.options].map(({ text }) => text).join(', ')}`);
  fireEvent.change(list, { target: { value: option.value } });
  await rest();
}

/** Unfolds a section that lies folded. */
export async function unfold(user: User, title: string) {
  const head = button(title);
  if (head.getAttribute('aria-expanded') === 'false') await user.click(head);
  await rest();
}

/** All that a reader finds on the page. */
export const pageText = (): string => textIn(document.body);
export function textIn(element: Element): string {
  // Styles that are made as they are needed stand among what they dress.
  const own = element.cloneNode(true) as Element;
  for (const style of own.querySelectorAll('style')) style.remove();
  return (own.textContent ?? '').replaceAll(/[\s\u00a0\u2009\u200a]+/g, ' ');
}

/** Types into a field and leaves it. */
export async function type(user: User, field: HTMLElement, text: string) {
  await user.clear(field);
  // Braces and brackets would be keys to it.
  if (text !== '') await user.type(field, text.replaceAll(/[{[]/g, '$&$&'));
  await user.keyboard('{Enter}');
  await rest();
}
