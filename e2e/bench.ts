import AxeBuilder from '@axe-core/playwright';
import { foldEvents, type ShopEvent } from '@north-pane/core/shoplog';
import { type BrowserContext, type BrowserContextOptions, test as base, expect, type Page } from '@playwright/test';

interface Watch {
  /** HTTP statuses that this journey provokes on purpose; Chromium logs each as an error. */
  provoke(...statuses: number[]): void;
  /** The network is cut on purpose: requests that do not get through are no fault. */
  cutOff(): void;
}

/** What a browser's context is made with. One of each is kept by a worker, so that scripts stay in its cache from journey to journey. */
const kinds = ['viewport', 'locale', 'timezoneId', 'reducedMotion', 'hasTouch', 'isMobile', 'baseURL'] as const;

/** Every journey fails on a console error or a broken page, but for the statuses it provokes on purpose. */
export const test = base.extend<{ watch: Watch }, { contexts: Map<string, BrowserContext> }>({
  contexts: [
    // biome-ignore lint/correctness/noEmptyPattern: a fixture names what it needs, and this one needs nothing
    async ({}, use) => {
      const contexts = new Map<string, BrowserContext>();
      await use(contexts);
      for (const one of contexts.values()) await one.close();
    },
    { scope: 'worker' },
  ],
  context: async (
    { browser, contexts, viewport, locale, timezoneId, reducedMotion, hasTouch, isMobile, baseURL },
    use,
  ) => {
    const made = { viewport, locale, timezoneId, reducedMotion, hasTouch, isMobile, baseURL };
    const key = JSON.stringify(kinds.map((kind) => made[kind]));
    let context = contexts.get(key);
    if (!context) {
      context = await browser.newContext(made as BrowserContextOptions);
      contexts.set(key, context);
      // A page that stays open keeps the renderer alive, which has the scripts compiled.
      await (await context.newPage()).goto('/api/health');
    }
    await use(context);
    // A journey leaves nothing behind but the cache.
    await context.setOffline(false);
    const [first, ...others] = context.pages();
    for (const page of others) await page.close();
    await context.clearCookies();
    if (!first) throw new Error('the first page of a context was closed');
    const session = await context.newCDPSession(first);
    await session.send('Storage.clearDataForOrigin', {
      origin: baseURL ?? '',
      storageTypes: 'local_storage,indexeddb',
    });
    await session.detach();
  },
  watch: [
    async ({ page }, use) => {
      const forgiven = new Set<number>();
      const errors: string[] = [];
      let cut = false;
      page.on('console', (message) => {
        if (message.type() === 'error' || message.type() === 'warning') errors.push(message.text());
      });
      page.on('pageerror', (error) => errors.push(String(error)));
      await use({
        provoke: (...statuses) => {
          for (const status of statuses) forgiven.add(status);
        },
        cutOff: () => {
          cut = true;
        },
      });
      const left = errors.filter((text) => {
        const status = /status of (\d{3})/.exec(text)?.[1];
        if (cut && /net::ERR_/.test(text)) return false;
        return !(status && forgiven.has(Number(status)));
      });
      expect(left).toEqual([]);
    },
    { auto: true },
  ],
});

/** Waits until nothing is being worked out any more: the page says so itself (`data-busy`). */
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('html:not([data-busy])')).toBeAttached({ timeout: 60_000 });
}

export { expect };

/** Begins a job through the server and opens one of its stations. */
export async function beginJob(page: Page, name: string, station = 'size', units = 'metric'): Promise<string> {
  const answer = await page.request.post('/api/jobs', { data: { name, family: 'harp', units }, maxRetries: 2 });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/jobs/${id}/${station}`);
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  return id;
}

/** The figure that stands under a label on the slate. */
export function slate(page: Page, label: string | RegExp) {
  return page.locator('header').getByText(label).locator('xpath=following-sibling::p');
}

/** The document as the server has it. A connection that the server closed for its idleness is opened again. */
export async function stored(page: Page, id: string) {
  const answer = await page.request.get(`/api/jobs/${id}`, { maxRetries: 2 });
  return (await answer.json()) as {
    version: number;
    document: {
      name: string;
      decisions: object;
      heaters: Record<string, { family: string; parameters: Record<string, number>; count: number }>;
      need: { volumePerDay: number; hours?: number[]; heats?: { by: string; price: number } };
      shop: { have?: Record<string, true> };
      site: {
        latitude: number;
        longitude: number;
        standing: { aim: number; tilts: Record<string, { tilt: number }>; front?: { spacing: number } };
        horizon: { azimuth: number; elevation: number }[];
        climate: { kind: string; weather?: number } | null;
      };
    };
  };
}

/** How a job stands in the shop, by its log as the server has it. */
export async function storedShop(page: Page, id: string) {
  const answer = await page.request.get(`/api/jobs/${id}/events`, { maxRetries: 2 });
  const { events } = (await answer.json()) as { events: ShopEvent[] };
  return foldEvents(events);
}

/** Waits until everything that was changed is on the server. */
export async function saved(page: Page): Promise<void> {
  await expect(page.locator('header').getByText(/, saved$/)).toBeVisible();
}

/** Opens the shelf and looks along it, page by page, until a job is seen. */
export async function onShelf(page: Page, name: string) {
  await page.goto('/');
  const heading = page.getByRole('heading', { name, exact: true });
  const more = page.getByRole('button', { name: 'More jobs' });
  await expect(page.getByRole('article').first()).toBeVisible();
  while ((await heading.count()) === 0 && (await more.count()) > 0) {
    const before = await page.getByRole('article').count();
    await more.click();
    await expect.poll(() => page.getByRole('article').count()).toBeGreaterThan(before);
  }
  await expect(heading).toBeVisible();
  return heading;
}

/** Another hand sets a field while this window is off the network; then both are on it again. */
export async function whileAway(
  page: Page,
  id: string,
  theirs: (other: Page) => Promise<void>,
  mine: () => Promise<void>,
) {
  const browser = page.context().browser();
  if (!browser) throw new Error('no browser');
  await settled(page);
  await page.context().setOffline(true);
  const other = await (await browser.newContext()).newPage();
  await other.goto(`/jobs/${id}/size`);
  await theirs(other);
  await saved(other);
  await other.context().close();
  await mine();
  await page.context().setOffline(false);
}

/** Opens a section of the bench that lies folded. */
export async function unfold(page: Page, title: string): Promise<void> {
  const head = page.getByRole('region', { name: title }).getByRole('button', { name: title, exact: true });
  if ((await head.getAttribute('aria-expanded')) === 'false') await head.click();
}

/**
 * axe over the whole page: nothing serious or critical.
 *
 * @param rules only these
 */
export async function accessible(page: Page, rules: string[] = []): Promise<void> {
  const axe = new AxeBuilder({ page });
  const { violations } = await (rules.length > 0 ? axe.withRules(rules) : axe).analyze();
  const grave = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 140)).join(' | ')}`);
  expect(grave).toEqual([]);
}
