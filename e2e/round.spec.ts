import type { Page } from '@playwright/test';
import { expect, test, testOfPower } from './house';

/** A finger drawn sideways. */
async function swipe(page: Page, from: { x: number; y: number }, byPx: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const steps = 8;
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: { x: number; y: number }[]) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints });
  await touch('touchStart', [from]);
  for (let step = 1; step <= steps; step += 1) {
    await touch('touchMove', [{ x: from.x + (step * byPx) / steps, y: from.y }]);
  }
  await touch('touchEnd', []);
}

const BROWSED = { timeout: 20_000 };

testOfPower('the walk goes on while the server is away, over a reload, and is sent once when it is back (on a phone)', async ({
  page,
  house,
}) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'B3: taken' })).toBeVisible();
  // The browser keeps the page from its second visit on.
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await expect(page.getByRole('button', { name: 'B3: taken' })).toBeVisible();
  await house.end('SIGKILL');
  await page.getByRole('button', { name: 'B3: taken' }).click();
  await expect(page.getByText('Kept on this phone, not sent yet.')).toBeVisible();
  await page.getByRole('button', { name: 'A1: left in' }).click();
  await expect(page.getByText('2 answers kept here')).toBeVisible();
  await page.reload();
  await expect(page.getByText('2 answers kept here')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /^B3: .*up to 22 mm/ })).toBeChecked();
  // What was opened before is read meanwhile.
  await page.getByRole('link', { name: 'More' }).click();
  await page.getByRole('link', { name: 'Handbook' }).click();
  await page.getByRole('link', { name: /^Damon diadema/ }).click();
  await expect(page.getByText('Tanzanian whip spider', { exact: false })).toBeVisible();
  await page.goto('/');
  await house.start();
  await expect(page.getByText(/kept here/)).toHaveCount(0, BROWSED);
  await page.reload();
  await expect(page.getByRole('checkbox', { name: /^B3: .*up to 22 mm/ })).toBeChecked();
  const { stops } = await (await page.request.get(`${house.address}/api/round`)).json();
  const fed = stops.flatMap((stop: { jobs: { kind: string; doneBy?: string }[] }) =>
    stop.jobs.filter((job) => job.kind === 'feed' && job.doneBy),
  );
  expect(fed).toHaveLength(2);
});

test('two keepers see each other’s ticks, without asking for them (on a phone)', async ({ page, house, browser }) => {
  const other = await (await browser.newContext({ baseURL: house.address })).newPage();
  await other.goto('/');
  await page.goto('/');
  const label = /^B3: Raise the soil/;
  await expect(other.getByRole('checkbox', { name: label })).not.toBeChecked();
  await page.getByRole('checkbox', { name: label }).click();
  await expect(page.getByText('B3: soil set.')).toBeVisible();
  await expect(other.getByText(/^Raise the soil to 119 mm/)).toHaveCount(0);
  await other.close();
});

test('a job is put off with a reason, by tap or by swipe, and taken back; a room is walked alone (on a phone)', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: /^B3: Raise the soil .*Put off$/ }).click();
  await page.getByRole('radio', { name: 'No time today' }).click();
  await expect(page.getByText('put off to tomorrow: no time today')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('put off to tomorrow: no time today')).toHaveCount(0);
  // To the left it opens what puts it off; to the right it is done.
  const row = page.getByTestId('job-row').filter({ hasText: 'Raise the soil to 119 mm' });
  const box = await row.boundingBox();
  if (!box) throw new Error('The row is not there.');
  await swipe(page, { x: box.x + 260, y: box.y + box.height - 20 }, -140);
  await expect(row.getByRole('radio', { name: 'No time today' })).toBeVisible();
  await page.getByRole('radio', { name: 'North Store' }).click();
  await expect(page.getByText('Raise the soil to 119 mm')).toHaveCount(0);
});

test('moves are worked out, settled, drawn within their window, and made step by step (on a phone)', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto('/seasons?part=moves');
  await page.getByRole('button', { name: 'Work the moves out' }).click();
  await expect(page.getByText(/moves?, (and no plan is better|within|at most)/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Settle these moves' }).click();
  const day = page.getByRole('slider', { name: /A2 to .*day of the move/ });
  await expect(day).toBeVisible(BROWSED);
  // Before today it does not go, and says so; a day later it does.
  await day.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Keep tomorrow/ })).toBeVisible();
  await page.getByRole('button', { name: /^Keep tomorrow/ }).click();
  await expect(page.getByText(/^A2 to .*: tomorrow\.$/)).toBeVisible();
  await page.goto('/');
  const steps = page.getByRole('button', { name: 'Steps' });
  await steps.first().click();
  await expect(page.getByRole('heading', { name: 'If it gets out' })).toBeVisible();
  const into = page.getByRole('button', { name: /^It is in/ });
  await expect(into).toBeDisabled();
  const before = page.getByRole('checkbox');
  for (let index = 0; index < (await before.count()); index += 1) await before.nth(index).click();
  await into.click();
  await expect(page.getByText(/lives in .* now\.$/)).toBeVisible();
});

test('an absence is planned; its sheet says what to do; the sitter sees that and nothing else (on a phone)', async ({
  page,
  house,
}) => {
  await page.goto('/seasons?part=away');
  await page.getByLabel('First day, as 2026-03-14').fill('2001-01-01');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(/Must be from today/)).toBeVisible();
  await page
    .getByRole('link', { name: /^Open the sheet/ })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: 'Never open' })).toBeVisible();
  await page.getByRole('button', { name: 'A page for the sitter' }).click();
  const address = await page.getByText(/\/sitter\//).textContent();
  await page.goto(address ?? '');
  await expect(page.getByRole('heading', { name: 'Never open' })).toBeVisible();
  await expect(page.getByRole('navigation')).toHaveCount(0);
  expect((await page.request.get(`${house.address}/api/sitter/${'x'.repeat(32)}`)).status()).toBe(404);
});
