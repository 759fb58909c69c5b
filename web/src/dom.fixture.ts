import './lazy.fixture';
import { JSDOM } from 'jsdom';

/**
 * A document for tests of what is drawn, in Node. Imported before everything that draws. What a browser has and jsdom has not is given as a
 * window of a laptop has it; pauses are a hundredth of what they are, since nothing in a test waits for a clock.
 */
const { window } = new JSDOM('<!doctype html><html lang="en"><body></body></html>', {
  url: 'http://localhost/',
});

const pause = 100;
const later = globalThis.setTimeout;

class Size {
  observe() {}
  unobserve() {}
  disconnect() {}
}

const given = {
  ResizeObserver: Size,
  IntersectionObserver: Size,
  matchMedia: (query: string) => ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }),
  scrollTo() {},
  setTimeout: (work: () => void, ms = 0) => later(work, ms / pause),
  clearTimeout: globalThis.clearTimeout,
  requestAnimationFrame: (work: (now: number) => void) => later(() => work(performance.now()), 0),
  cancelAnimationFrame: globalThis.clearTimeout,
  structuredClone: globalThis.structuredClone,
};
for (const [name, value] of Object.entries(given))
  Object.defineProperty(window, name, { value, configurable: true, writable: true });
window.Element.prototype.scrollIntoView = () => {};
window.Element.prototype.scrollTo = () => {};
window.HTMLElement.prototype.setPointerCapture = () => {};

/** A laptop's window: what is laid out has room. Said anew whenever something is opened, since tests of drawings have windows of their own. */
export function onLaptop(): void {
  for (const view of new Set([window, globalThis.window].filter(Boolean))) {
    const { prototype } = (view as typeof window).HTMLElement;
    Object.defineProperty(prototype, 'clientWidth', { get: () => 900, configurable: true });
    Object.defineProperty(prototype, 'clientHeight', { get: () => 600, configurable: true });
  }
}
onLaptop();
Object.assign(window.SVGElement.prototype, {
  getBBox: () => ({ x: 0, y: 0, width: 40, height: 14 }),
  getComputedTextLength: () => 40,
});

// Tests wait until the page says that it has come to rest, and not for React's own queue: what it says of that is passed over.
// biome-ignore lint/suspicious/noConsole: what is told there is passed on
const tell = console.error;
console.error = (...words) => {
  if (!/not wrapped in act/.test(String(words[0]))) tell(...words);
};

const world = globalThis as Record<string, unknown>;
for (const name of Object.getOwnPropertyNames(window))
  if (!(name in world) || ['navigator', 'Event', 'CustomEvent', 'EventTarget'].includes(name))
    Object.defineProperty(world, name, {
      value: (window as unknown as Record<string, unknown>)[name],
      configurable: true,
      writable: true,
    });
for (const name of ['requestAnimationFrame', 'cancelAnimationFrame'] as const) world[name] = window[name];
world.CSS = { escape: (text: string) => text.replaceAll(/[^\w-]/g, '\\$&') };
world.window = window;
world.ResizeObserver = Size;
world.IntersectionObserver = Size;
world.IS_REACT_ACT_ENVIRONMENT = true;
