import { beginJob, expect, saved, stored, test, whileAway } from './bench';

test('an unknown job, station and address each say so and lead back', async ({ page, watch }) => {
  watch.provoke(404);
  await page.goto('/jobs/nowhere/size');
  await expect(page.getByText('There is no job “nowhere” on this shelf.')).toBeVisible();
  await page.goto('/jobs/gannet-reach-showers/attic');
  await expect(page.getByText('There is no station “attic”.')).toBeVisible();
  await page.goto('/cellar/door');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the shelf of jobs' }).click();
  await expect(page.getByRole('heading', { name: 'Jobs on the shelf' })).toBeVisible();
});

test('two windows on different fields both stand', async ({ page, context }) => {
  const id = await beginJob(page, 'Two windows');
  const other = await context.newPage();
  await other.goto(`/jobs/${id}/place`);
  await other.getByLabel('Aim, ° from north').fill('200');
  await other.getByLabel('Aim, ° from north').press('Enter');
  await saved(other);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await saved(page);
  await expect.poll(async () => (await stored(page, id)).version).toBe(3);
  await page.keyboard.press('1');
  await expect(page.getByLabel('Aim, ° from north')).toHaveValue('200');
});

test('two windows on the same field: asked, and the choice stands', async ({ page, watch }) => {
  watch.provoke(409);
  watch.cutOff();
  const id = await beginJob(page, 'Same field');
  await whileAway(
    page,
    id,
    (other) => other.getByRole('button', { name: 'One less: Risers' }).click(),
    () => page.getByRole('button', { name: 'One more: Risers' }).click(),
  );
  const asked = page.getByRole('alert', { name: 'Changed in two places' });
  await expect(asked).toContainText('Risers was changed by another hand too: yours 13, theirs 11.');
  // It is asked at the field itself too.
  const here = page.getByRole('group', { name: 'Which value stands' });
  await expect(here).toContainText('yours 13, theirs 11');
  await here.getByRole('button', { name: 'Keep mine: 13' }).click();
  await expect(asked).toHaveCount(0);
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.riserCount).toBe(13);
});

test('a server that is away loses nothing', async ({ page, context, watch }) => {
  const id = await beginJob(page, 'Away');
  watch.provoke();
  await context.route('**/api/jobs/*/changes', (route) =>
    route.fulfill({ status: 500, json: { message: 'Something broke on the server.' } }),
  );
  watch.provoke(500);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect(page.locator('header').getByText(/offline, 1 waits$/)).toBeVisible();
  await expect(page.getByText(/does not answer: 1 edit waits in this browser/)).toBeVisible();
  expect((await stored(page, id)).version).toBe(1);
  await context.unroute('**/api/jobs/*/changes');
  // A fresh window takes up what was persisted.
  await page.reload();
  await expect(page.getByRole('group', { name: 'Risers' }).getByText('11', { exact: true })).toBeVisible();
  await expect.poll(async () => (await stored(page, id)).document.heaters['panel-a']?.parameters.riserCount).toBe(11);
});

test('a change that the server refuses is told, and not sent again by itself', async ({ page, context, watch }) => {
  await page.clock.install();
  await beginJob(page, 'Refused');
  let sent = 0;
  await context.route('**/api/jobs/*/changes', (route) => {
    sent += 1;
    return route.fulfill({ status: 422, json: { message: 'The change does not make a sound job.', errors: [] } });
  });
  watch.provoke(422);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  const asked = page.getByRole('alert', { name: 'Changed in two places' });
  await expect(asked).toContainText('yours, 11, was not taken: The change does not make a sound job.');
  // Longer than the longest pause between two tries at a server that does not answer.
  await page.clock.runFor(120_000);
  expect(sent).toBe(1);
  await context.unroute('**/api/jobs/*/changes');
  await asked.getByRole('button', { name: 'Keep mine: 11' }).click();
  await saved(page);
});
