import '../dom.fixture';
import { ChakraProvider } from '@chakra-ui/react';
import { defaultJob, type Job } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, configure, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import type { StoreApi } from 'zustand';
import { onLaptop } from '../dom.fixture';
import { queries } from '../state/api';
import { useJob } from '../state/job';
import { useKeepAsking } from '../state/kept';
import { useProofs } from '../state/proofs';
import { openSync } from '../state/sync/state';
import { useView } from '../state/view';
import { useWasteFree } from '../state/wasteFree';
import Build from '../stations/build';
import Cut from '../stations/cut';
import Forecast from '../stations/forecast';
import Pick from '../stations/pick';
import Place from '../stations/place';
import { useLive } from '../stations/place/live';
import Prove from '../stations/prove';
import Size from '../stations/size';
import { useBenchView } from '../stations/size/view';
import { system } from '../theme/system';
import { workHere } from '../workers/here.fixture';
import { useShown } from './KeysDialog';
import { forgetStations } from './useStationMemory';

// Whether something can be seen is asked in a browser: here it costs a second each time. What is missing is named without the whole page.
configure({ defaultHidden: true, getElementError: (message) => new Error(message?.split('\n')[0]) });

/** Loaded with the test: a module that is loaded later would have a state of its own here. */
const screens = { place: Place, pick: Pick, size: Size, cut: Cut, build: Build, forecast: Forecast, prove: Prove };
export type StationId = keyof typeof screens;

export type User = ReturnType<typeof userEvent.setup>;

/** What the server is asked. */
export interface Asked {
  method: string;
  path: string;
  query: URLSearchParams;
  body: unknown;
}

/**
 * Answers of the server by the end of their address, as they are or by what is asked; a Response is given as it is. What is not told of is an
 * empty list.
 */
export type Answers = Record<string, unknown>;

/** The body of an answer as an error of the server. */
export const refusal = (status: number, message: string): Response =>
  new Response(JSON.stringify({ message }), { status, headers: { 'content-type': 'application/json' } });

/** A weather service that has nothing to say. */
const calm = { hours: [], standIn: true, source: 'made up', made: '2026-06-01T00:00:00Z' };

export { screen };

/** As the process has it: other tests talk to a server of their own. */
const ownFetch = globalThis.fetch;

/** Answers for the server from now on. */
export function serve(answers: Answers): void {
  globalThis.fetch = (async (input: RequestInfo | URL, init: RequestInit = {}) => {
    const url = new URL(String(input instanceof Request ? input.url : input), 'http://localhost');
    const path = url.pathname;
    const own = Object.entries(answers).find(([end]) => path.endsWith(end))?.[1];
    const text = typeof init.body === 'string' ? init.body : undefined;
    const asked: Asked = {
      method: init.method ?? 'GET',
      path,
      query: url.searchParams,
      body: text === undefined ? undefined : JSON.parse(text),
    };
    const found = typeof own === 'function' ? await own(asked) : (own ?? (path.endsWith('/outlook') ? calm : []));
    if (found instanceof Response) return found;
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
  for (let tries = 0; tries < 80; tries += 1) {
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
  workHere({ bands: !shallow });
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
  onLaptop();
  globalThis.fetch = ownFetch;
  queries.clear();
  window.sessionStorage.clear();
  useJob.getState().close();
  forgetStations();
  for (const store of [useView, useBenchView, useLive, useShown, useKeepAsking, useWasteFree, useProofs])
    (store as StoreApi<unknown>).setState(store.getInitialState(), true);
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
  const parts: string[] = [];
  const walk = (node: Node) => {
    if (node.nodeType === 3) parts.push(node.nodeValue ?? '');
    else if (node.nodeName !== 'STYLE') for (let child = node.firstChild; child; child = child.nextSibling) walk(child);
  };
  walk(element);
  return parts.join('').replaceAll(/[\s\u00a0\u2009\u200a]+/g, ' ');
}

/** Types into a field and leaves it. */
export async function type(user: User, field: HTMLElement, text: string) {
  await user.clear(field);
  // Braces and brackets would be keys to it.
  if (text !== '') await user.type(field, text.replaceAll(/[{[]/g, '$&$&'));
  await user.keyboard('{Enter}');
  await rest();
}

/** Takes a dimension of the drawing in hand, and once more to type it. */
export async function dimensionField(user: User, id: string, label: string | RegExp): Promise<HTMLElement> {
  const mark = () => {
    const found = document.querySelector(`[data-dimension="${id}"]`);
    if (!found) throw new Error(`no dimension ${id}`);
    return found;
  };
  await user.click(await soon(mark));
  await rest();
  await user.click(mark());
  return soon(() => screen.getByRole('textbox', { name: label }));
}

/** Takes the last edit of the design back. */
export async function undo() {
  useJob.getState().undo();
  await rest();
}

/** Lays the edit that was taken back on again. */
export async function redo() {
  useJob.getState().redo();
  await rest();
}

/** One of several choices by its name. */
export const radio = (name: string, inside?: ParentNode): HTMLInputElement =>
  find('input[type="radio"]', name, inside) as HTMLInputElement;
