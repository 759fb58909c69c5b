import { beginJob, expect, saved, settled, test } from './bench';

test('nothing that has the focus lies under the tape of a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginJob(page, 'Under the tape');
  await expect(page.getByTestId('tape')).toBeVisible();
  await settled(page);
  await page.getByRole('button', { name: 'Section', exact: true }).focus();
  for (let press = 0; press < 45; press += 1) {
    await page.keyboard.press('Tab');
    // Points of the tape and findings come a moment later, and are given way to.
    const hidden = () =>
      page.evaluate(() => {
        const { activeElement: at } = document;
        const tape = document.querySelector('[data-testid="tape"]');
        if (!at || !tape || tape.contains(at) || at === document.body || !at.closest('main')) return '';
        const own = at.getBoundingClientRect();
        const middle = document.elementFromPoint(own.left + own.width / 2, own.top + Math.min(own.height / 2, 20));
        return middle && tape.contains(middle) ? (at.getAttribute('aria-label') ?? at.tagName) : '';
      });
    await expect.poll(hidden).toBe('');
  }
});

test('a group of radio buttons is one stop, and arrows go round it; the tape takes every key of a slider', async ({
  page,
}) => {
  await beginJob(page, 'Arrows', 'prove');
  await page.getByRole('radio', { name: 'clear', exact: true }).focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'thin cloud' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'thin cloud' })).toBeFocused();
  await page.keyboard.press('3');
  const tape = page.getByRole('slider', { name: 'riser pitch' });
  const value = page.getByTestId('tape-value');
  await expect(value).toContainText('89 mm');
  await tape.focus();
  const steps: [key: string, words: string][] = [
    ['ArrowDown', '88 mm'],
    ['ArrowUp', '89 mm'],
    ['PageDown', '79 mm'],
    ['PageUp', '89 mm'],
    ['Shift+ArrowLeft', '79 mm'],
    ['Shift+ArrowRight', '89 mm'],
    ['End', '90 mm'],
    ['ArrowUp', '90 mm'],
    ['Home', '30 mm'],
  ];
  for (const [key, words] of steps) {
    await page.keyboard.press(key);
    await expect(value, key).toContainText(words);
  }
});

test('an edit is told once, by what it changed', async ({ page }) => {
  await beginJob(page, 'Told');
  const told: string[] = [];
  await page.exposeFunction('tell', (words: string) => told.push(words));
  await page.evaluate(() => {
    for (const live of document.querySelectorAll('header [aria-live], main [aria-live], [role="status"]'))
      new MutationObserver(() =>
        (window as never as { tell(words: string): void }).tell(live.textContent ?? ''),
      ).observe(live, { childList: true, characterData: true, subtree: true });
  });
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect(page.getByTestId('announcer')).toHaveText('Risers: 12 to 11');
  await saved(page);
  await settled(page);
  expect(told).toEqual(['Risers: 12 to 11']);
  await page.getByTestId('tape-value').click();
  const field = page.getByRole('textbox', { name: 'riser pitch' });
  await field.fill('95');
  await field.press('Enter');
  await expect(page.getByTestId('announcer')).toHaveText(/^Riser pitch: 89.mm to 95.mm$/);
});
