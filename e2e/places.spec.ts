import type { Page } from '@playwright/test';
import { expect, test } from './house';

// What is fetched is held up here, which the browser does not let be seen where it keeps the page for itself.
test.use({ serviceWorkers: 'block' });

const find = (page: Page) => page.getByLabel('Find by name, box or batch');
/** The pane with the list. */
const list = (page: Page) => page.getByRole('main').first().locator('> div').first();
const scrolled = (page: Page) => list(page).evaluate((pane) => Math.round(pane.scrollTop));
/** By its property: React Native has a `scrollTo` of its own. */
const scrollTo = (page: Page, px: number) => list(page).evaluate((pane, top) => void (pane.scrollTop = top), px);
const placeInBar = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name });

test('what was opened stays under the thumb while the rest is fetched', async ({ page }) => {
  test.skip((page.viewportSize()?.width ?? 0) >= 900, 'On a wide screen all of it is in sight.');
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(/\/api\/residents\/[^/]+\/(moult|batch|colony)/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/residents');
  await find(page).fill('hedge d4');
  await page.getByRole('link', { name: /^The hedge/ }).click();
  await page.getByRole('tab', { name: 'Growth' }).click();
  const chosen = page.getByRole('button', { name: 'Where it comes from', exact: true });
  await chosen.click();
  const before = (await chosen.boundingBox())?.y;
  letGo();
  await expect(page.getByRole('img', { name: /^Survival since they came/ })).toBeAttached();
  await expect(page.getByRole('img', { name: /^Moults: / })).toBeAttached();
  expect((await chosen.boundingBox())?.y).toBe(before);
});

test('lists are found as they were left: the walk, the residents and what was sought in them', async ({ page }) => {
  await page.goto('/round');
  await expect(page.getByText('Nothing else is due today.', { exact: false })).toBeAttached();
  await scrollTo(page, 1500);
  await placeInBar(page, 'Residents').click();
  await find(page).fill('s');
  const last = page.getByRole('link', { name: /^The hedge/ });
  await page.mouse.move(150, 500);
  await expect(async () => {
    if ((await last.count()) === 0) await page.mouse.wheel(0, 400);
    await expect(last).toBeVisible({ timeout: 250 });
  }).toPass();
  await last.scrollIntoViewIfNeeded();
  const left = await scrolled(page);
  expect(left).toBeGreaterThan(0);
  await last.click();
  await expect(page.getByRole('button', { name: 'New entry' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('button', { name: 'New entry' })).toHaveCount(0);
  await expect(find(page)).toHaveValue('s');
  await expect.poll(() => scrolled(page)).toBe(left);
  await placeInBar(page, 'Round').click();
  await expect.poll(() => scrolled(page)).toBe(1500);
  await placeInBar(page, 'Residents').click();
  await expect(find(page)).toHaveValue('');
  expect(await scrolled(page)).toBe(0);
});
