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

testOfPower(
  'the walk goes on while the server is away, over a reload, and is sent once when it is back (on a phone)',
  async ({ page, house }) => {
    await page.goto('/round');
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
    await page.getByLabel('Find by scientific or common name').fill('damon');
    await page.getByRole('link', { name: /^Damon diadema/ }).click();
    await expect(page.getByText('Tanzanian whip spider', { exact: false })).toBeVisible();
    await page.goto('/round');
    await house.start();
    await expect(page.getByText(/kept here/)).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole('checkbox', { name: /^B3: .*up to 22 mm/ })).toBeChecked();
    const { stops } = await (await page.request.get(`${house.address}/api/round`)).json();
    const fed = stops.flatMap((stop: { jobs: { kind: string; doneBy?: string }[] }) =>
      stop.jobs.filter((job) => job.kind === 'feed' && job.doneBy),
    );
    expect(fed).toHaveLength(2);
  },
);

test('two keepers see each other’s ticks, without asking for them (on a phone)', async ({ page, house, browser }) => {
  const other = await (await browser.newContext({ baseURL: house.address })).newPage();
  await other.goto('/round');
  await page.goto('/round');
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
  await page.goto('/round');
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
