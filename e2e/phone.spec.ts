import type { Page } from '@playwright/test';
import { beginJob, expect, slate, test } from './bench';

/** What of the head lies beyond the screen, or is scrolled away in it. */
function hiddenOfHead(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const header = document.querySelector('header');
    if (!header) return ['no header'];
    const strips = [header, ...header.querySelectorAll('*')].filter(
      (one) => one.scrollWidth > one.clientWidth + 1 && /auto|scroll/.test(getComputedStyle(one).overflowX),
    );
    const off = [...header.querySelectorAll('button, a, p')].filter((one) => {
      const { left, right, width } = one.getBoundingClientRect();
      return width > 0 && (left < -0.5 || right > window.innerWidth + 0.5);
    });
    return [...strips.map(() => 'a strip that scrolls'), ...off.map((one) => one.textContent ?? one.tagName)];
  });
}

const narrow = [
  [390, 844, 'metric'],
  [390, 844, 'imperial'],
  [320, 640, 'imperial'],
] as const;
for (const [width, height, units] of narrow)
  test(`the head of ${width} px, ${units}, hides nothing: undo, keep, clashes; units and light under More`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await beginJob(page, 'On the saw table', 'size', units);
    for (const name of ['Undo', 'Redo', 'Save version', 'More'])
      await expect(page.getByRole('button', { name, exact: true })).toBeInViewport({ ratio: 1 });
    await expect(slate(page, /^problems/)).toBeInViewport({ ratio: 1 });
    expect(await hiddenOfHead(page)).toEqual([]);
    await page.getByRole('button', { name: 'More', exact: true }).click();
    expect(await hiddenOfHead(page)).toEqual([]);
    for (const label of ['pane area', 'hottest when empty', 'water content'])
      await expect(slate(page, label)).toBeInViewport({ ratio: 1 });
    await page.getByRole('button', { name: 'Metric', exact: true }).click();
    await expect(slate(page, 'pane area')).toContainText('m²');
    await expect(page.getByRole('button', { name: /^Light/ })).toBeInViewport({ ratio: 1 });
  });

test('the head of a laptop and of a tablet hides nothing in feet and inches', async ({ page }) => {
  await beginJob(page, 'A name that is rather long for the head of a page', 'size', 'imperial');
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  for (const width of [1280, 1024, 768]) {
    await page.setViewportSize({ width, height: 768 });
    await expect.poll(() => hiddenOfHead(page), { message: String(width) }).toEqual([]);
    for (const name of ['Undo', 'Save version', 'Metric', 'Keys'])
      await expect(page.getByRole('button', { name, exact: true })).toBeInViewport({ ratio: 1 });
    await expect(slate(page, /^problems/)).toBeInViewport({ ratio: 1 });
  }
});

for (const width of [390, 320])
  test(`eight stations fit the rail of ${width} px, by their names`, async ({ page }) => {
    await page.setViewportSize({ width, height: 640 });
    await beginJob(page, 'Rail');
    const rail = page.getByRole('navigation', { name: 'Stations' });
    // One that is to come, made of one that is there.
    await rail.evaluate((element) => {
      for (const [number, name] of [[6, 'Plumb']] as const) {
        const stop = element.children[0]?.cloneNode(true) as HTMLElement;
        stop.style.setProperty('--number', String(number));
        stop.style.setProperty('--in-four', String(((number - 1) % 4) + 1));
        stop.style.setProperty('--row', String(Math.ceil(number / 4)));
        const words = stop.querySelector('.rail-name');
        if (words) words.textContent = name;
        element.append(stop);
      }
    });
    const stops = await rail.locator('a').evaluateAll((all) =>
      all.map((one) => {
        const { left, right, top, bottom, width: wide, height } = one.getBoundingClientRect();
        const words = one.querySelector('.rail-name')?.getBoundingClientRect();
        return {
          left,
          right,
          top,
          bottom,
          wide,
          height,
          spills: words ? words.right > right || words.width < 8 : true,
        };
      }),
    );
    expect(stops).toHaveLength(8);
    for (const { left, right, bottom, wide, height, spills } of stops) {
      expect(left).toBeGreaterThanOrEqual(0);
      expect(right).toBeLessThanOrEqual(width + 0.5);
      expect(bottom).toBeLessThanOrEqual(640.5);
      expect(Math.min(wide, height)).toBeGreaterThanOrEqual(44);
      expect(spills).toBe(false);
    }
    // None lies over another.
    for (const [index, one] of stops.entries())
      for (const other of stops.slice(index + 1))
        expect(
          one.right <= other.left + 0.5 ||
            other.right <= one.left + 0.5 ||
            one.bottom <= other.top + 0.5 ||
            other.bottom <= one.top + 0.5,
        ).toBe(true);
  });

test('why the tape goes no further is read whole on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginJob(page, 'Reasons');
  const reason = page.getByTestId('tape').getByText('Not more: the plate would meet the side boards');
  await expect(reason).toBeInViewport({ ratio: 1 });
  const cut = await reason.evaluate(
    (one) => one.scrollWidth > one.clientWidth || one.scrollHeight > one.clientHeight + 1,
  );
  expect(cut).toBe(false);
});

/** Words of a drawing that lie outside it, and pairs of them that lie over each other. */
function muddled(page: Page, figure: string): Promise<string[]> {
  return page.evaluate((selector) => {
    const frame = document.querySelector(selector);
    if (!frame) return ['no drawing'];
    const edge = frame.getBoundingClientRect();
    const words = [...frame.querySelectorAll('text')]
      .filter((one) => (one.textContent ?? '').trim() !== '')
      .map((one) => ({ text: one.textContent ?? '', box: one.getBoundingClientRect() }));
    const out = words
      .filter(
        ({ box }) =>
          box.left < edge.left - 0.5 ||
          box.right > edge.right + 0.5 ||
          box.top < edge.top - 0.5 ||
          box.bottom > edge.bottom + 0.5,
      )
      .map(({ text }) => `outside: ${text}`);
    const over = words.flatMap((one, index) =>
      words
        .slice(index + 1)
        .filter(
          ({ box }) =>
            Math.min(one.box.right, box.right) - Math.max(one.box.left, box.left) > 3 &&
            Math.min(one.box.bottom, box.bottom) - Math.max(one.box.top, box.top) > 5,
        )
        .map(({ text }) => `${one.text} over ${text}`),
    );
    return [...out, ...over];
  }, figure);
}

for (const latitude of [52.3, -40.9])
  test(`the sky over ${latitude}° keeps its words apart, whichever way the pane looks`, async ({ page }) => {
    const answer = await page.request.post('/api/jobs', {
      data: { name: 'Sky', family: 'harp', units: 'metric', where: { latitude, longitude: 0 } },
      maxRetries: 2,
    });
    const { id } = (await answer.json()) as { id: string };
    await page.goto(`/jobs/${id}/place`);
    const aim = page.getByRole('slider', { name: 'Aim of the pane' });
    await expect(aim).toBeVisible();
    for (const key of ['Home', 'PageUp', 'End']) {
      await aim.press(key);
      expect(await muddled(page, '[aria-label^="The sky from above"] svg'), key).toEqual([]);
    }
    for (let press = 0; press < 18; press += 1) await aim.press('PageUp');
    // Looking south, the S stands inside the rim and not under the handle.
    const over = await page.evaluate(() => {
      const letters = [...document.querySelectorAll('[aria-label^="The sky from above"] text')];
      const south = letters.find(({ textContent }) => textContent === 'S')?.getBoundingClientRect();
      const handle = document.querySelector('[aria-label="Aim of the pane"] rect')?.getBoundingClientRect();
      if (!south || !handle) return true;
      return (
        south.left < handle.right && handle.left < south.right && south.top < handle.bottom && handle.top < south.bottom
      );
    });
    expect(over).toBe(false);
  });
