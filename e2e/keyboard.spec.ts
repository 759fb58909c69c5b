import { beginJob, expect, saved, settled, slate, stored, test } from './bench';

test('the bench is worked without a mouse', async ({ page }) => {
  const id = await beginJob(page, 'No mouse');
  const pitch = page.getByRole('button', { name: /^riser pitch, .*: set$/ });
  await pitch.focus();
  await page.keyboard.press('Enter');
  const field = page.getByRole('textbox', { name: 'riser pitch' });
  await expect(field).toBeFocused();
  await field.fill('3 3/8"');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('tape-value')).toContainText('86 mm');
  await page.getByRole('slider', { name: 'riser pitch' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('tape-value')).toContainText('86 mm');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('tape-value')).toContainText('87 mm');
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.pitch).toBeCloseTo(0.087, 9);
});

test('stations, undo and redo go by key from anywhere but a field', async ({ page }) => {
  await beginJob(page, 'By key');
  await expect(page.getByTestId('tape-value')).toBeVisible();
  const stops: [key: string, address: RegExp][] = [
    ['8', /prove$/],
    ['7', /forecast$/],
    ['4', /cut$/],
    ['5', /build$/],
    ['1', /place$/],
    ['3', /size$/],
  ];
  for (const [key, address] of stops) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(address);
  }
  // Stations that are not built yet have their numbers and no doors.
  await page.keyboard.press('6');
  await expect(page).toHaveURL(/size$/);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  const area = slate(page, /^holds/);
  const less = await area.textContent();
  await page.keyboard.press('Control+z');
  await expect(area).not.toHaveText(less ?? '');
  await page.keyboard.press('Control+Shift+z');
  await expect(area).toHaveText(less ?? '');
});

test('light goes round by its button and is kept', async ({ page }) => {
  await page.goto('/');
  const dark = () => page.evaluate(() => document.documentElement.classList.contains('dark'));
  await page.getByRole('button', { name: /^Light/ }).click();
  expect(await dark()).toBe(false);
  await page.getByRole('button', { name: 'Light: by day' }).click();
  expect(await dark()).toBe(true);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Light: by night' })).toBeVisible();
  expect(await dark()).toBe(true);
});

test('units chosen on the shelf hold on the bench and store nothing', async ({ page }) => {
  const id = await beginJob(page, 'Units');
  const before = await stored(page, id);
  await page.getByRole('button', { name: 'Feet and inches' }).click();
  await expect(slate(page, 'pane area')).toContainText('ft²');
  await expect(page.getByTestId('tape-value')).toContainText('″');
  await page.goto('/');
  await expect(page.getByRole('article').first()).toContainText('ft²');
  expect(await stored(page, id)).toEqual(before);
});

test('single keys go by what they write and not by where they lie, and can be switched off', async ({ page }) => {
  await beginJob(page, 'Letters');
  const value = page.getByTestId('tape-value');
  await expect(value).toContainText('89');
  /** A key of another layout: what it writes, and where it lies. */
  const press = (key: string, code: string, more: object = {}) =>
    page.evaluate(
      ([written, lies, options]) => {
        const at = document.activeElement ?? document.body;
        at.dispatchEvent(
          new KeyboardEvent('keydown', { key: written, code: lies, bubbles: true, cancelable: true, ...options }),
        );
      },
      [key, code, more] as const,
    );
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  // QWERTZ: the key that writes z lies where y lies elsewhere.
  await press('z', 'KeyY', { ctrlKey: true });
  await expect(undo).toBeDisabled();
  await press('y', 'KeyZ', { ctrlKey: true });
  await expect(undo).toBeEnabled();
  // AZERTY: a digit needs Shift, and the comma lies where m lies elsewhere.
  await press('4', 'Quote', { shiftKey: true });
  await expect(page).toHaveURL(/cut$/);
  await press('3', 'Quote', { shiftKey: true });
  await expect(page).toHaveURL(/size$/);
  await expect(value).toContainText('89');
  await press(',', 'KeyM');
  await expect(value).toContainText('88');
  // QWERTZ: Shift with the comma writes a semicolon.
  await press(';', 'Comma', { shiftKey: true });
  await expect(value).toContainText('78');
  // What lies where u lies, and writes something else, flips nothing.
  await press('g', 'KeyU');
  await expect(value).toContainText('78');
  await page.keyboard.press('Shift+?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await keys.getByRole('checkbox', { name: 'Single keys work without Ctrl' }).click();
  await keys.getByRole('button', { name: 'Back' }).click();
  for (const key of ['u', 'k', '4', ',', '?']) await page.keyboard.press(key);
  await expect(page).toHaveURL(/size$/);
  await expect(value).toContainText('78');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('header').getByText('no revision kept')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(value).toContainText('88');
});

test('no key reaches the bench through a dialog or the shop mode', async ({ page }) => {
  await beginJob(page, 'Covered');
  await expect(page.getByTestId('tape-value')).toContainText('89');
  await page.getByRole('button', { name: 'Keys' }).click();
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await keys.getByRole('button', { name: 'Back' }).focus();
  for (const key of ['u', '4', ',', 'k']) await page.keyboard.press(key);
  await expect(page).toHaveURL(/size$/);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('tape-value')).toContainText('89 mm');
  await page.keyboard.press('4');
  await page.getByRole('button', { name: 'Shop mode' }).click();
  for (const key of ['u', '3', 'k']) await page.keyboard.press(key);
  await expect(page).toHaveURL(/cut$/);
  await expect(page.getByTestId('shop-size')).toContainText('mm');
});

test('Ctrl Z after typing and Enter takes the edit back; while half typed it undoes the typing', async ({ page }) => {
  const id = await beginJob(page, 'Typed and undone');
  const entry = page.getByLabel('Riser entry');
  const before = await entry.inputValue();
  await entry.fill('9');
  await entry.press('Enter');
  await expect(entry).toHaveValue(/^9/);
  await expect(entry).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(entry).toHaveValue(before);
  await page.keyboard.press('Control+y');
  await expect(entry).toHaveValue(/^9/);
  await page.keyboard.press('Control+z');
  await entry.pressSequentially('12');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Escape');
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.entry).toBeCloseTo(0.007, 9);
});

test('the list of keys tells what the thing in hand takes, and is there on the shelf', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Begin a job' })).toBeVisible();
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('flip units');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Keys', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await beginJob(page, 'In hand', 'place');
  await page.getByRole('slider', { name: 'Tilt of the pane' }).focus();
  await page.keyboard.press('Shift+?');
  const list = page.getByRole('dialog', { name: 'Keys' }).getByRole('region', { name: 'Tilt of the pane' });
  await expect(list).toContainText('to the ends');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('slider', { name: 'Tilt of the pane' })).toBeFocused();
});

test('focus goes back to where it was: typing, Escape, the next step, a digit', async ({ page }) => {
  await beginJob(page, 'Focus');
  const pitch = page.getByRole('button', { name: /^riser pitch, .*: set$/ });
  await pitch.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'riser pitch' }).fill('88');
  await page.keyboard.press('Enter');
  await expect(pitch).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(pitch).toBeFocused();
  const clear = page.getByRole('button', { name: /^riser, clear of headers, .*: set$/ });
  await clear.focus();
  await page.keyboard.press('Enter');
  await expect(clear).toBeFocused();
  await page.keyboard.press('5');
  await expect(page).toHaveURL(/build$/);
  await expect(page.locator('main')).toBeFocused();
  const done = page.getByRole('button', { name: 'Done, next step' });
  await done.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article', { name: 'Drill the headers' })).toBeFocused();
  await page.keyboard.press('3');
  await expect(clear).toBeFocused();
});

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
