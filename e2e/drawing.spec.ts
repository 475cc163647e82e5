import fs from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './house';

const openHome = async (page: Page, code: RegExp) => {
  await page.goto('/homes');
  await page.getByRole('link', { name: code }).click();
};

test('the soil line is dragged, and the verdicts follow', async ({ page }) => {
  await openHome(page, /^B3/);
  const handle = page.getByRole('slider', { name: /^Soil depth/ });
  await expect(handle).toHaveAttribute('aria-valuenow', '98');
  const drawing = page.getByRole('img', { name: /Section through B3/ });
  await expect(drawing).toHaveAccessibleName(/failing: Too far to fall/);
  const box = await handle.boundingBox();
  if (!box) throw new Error('The handle is not on the page.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 20; step += 1) await page.mouse.move(x, y - step * 2);
  await page.mouse.up();
  await expect(drawing).not.toHaveAccessibleName(/failing/);
  const dragged = Number(await handle.getAttribute('aria-valuenow'));
  expect(dragged).toBeGreaterThan(119);
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(handle).toHaveAttribute('aria-valuenow', String(dragged + 1));
  await expect(page.getByRole('button', { name: `Set depth to ${dragged + 1} mm` })).toBeVisible();
});

test('a home is seen from above and saved as a drawing', async ({ page }) => {
  await openHome(page, /^E5/);
  await page.getByRole('radio', { name: 'from above' }).click();
  await expect(page.getByRole('img', { name: /E5 from above, 450 mm by 350 mm/ })).toBeVisible();
  await page.getByRole('radio', { name: 'side', exact: true }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save drawing' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('E5-side.svg');
  const text = fs.readFileSync(await file.path(), 'utf8');
  expect(text).toMatch(/^<\?xml .*\n<svg[^>]* xmlns="http:\/\/www.w3.org\/2000\/svg"/);
  expect(text).toContain('450 mm inside');
  expect(text).not.toContain('AtkinsonBold');
});

test('another way is tried by keys: the numbers follow, beside how it stands', async ({ page }) => {
  await openHome(page, /^B5/);
  await page.getByRole('button', { name: 'Air and water' }).last().click();
  await expect(page.getByRole('img', { name: /^Humidity over 30 days/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Wetness/ })).toBeVisible();
  const changes = page.getByText(/\d an hour$/).first();
  const before = await changes.textContent();
  await page.getByRole('radio', { name: 'all round' }).click();
  const holes = page.getByRole('slider', { name: 'Holes in each side' });
  await holes.focus();
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('PageUp');
  await expect(holes).toHaveAttribute('aria-valuenow', '26');
  await expect(page.getByText(before ?? '', { exact: true })).toHaveCSS('text-decoration-line', 'line-through');
  await page.getByRole('button', { name: 'As it stands' }).click();
  await expect(page.getByText(before ?? '', { exact: true })).not.toHaveCSS('text-decoration-line', 'line-through');
  await page.getByRole('button', { name: 'What each opening contributes' }).click();
  await expect(page.getByText('seam of the lid')).toBeVisible();
  await page.getByRole('button', { name: 'Holes for the band' }).click();
  await expect(page.getByText(/holes? of .* in each of|holes? of .* in (left|front)/)).toBeVisible();
  const wish = page.getByRole('slider', { name: 'Changes of air, at least' });
  await wish.focus();
  for (let press = 0; press < 8; press += 1) await page.keyboard.press('PageUp');
  const days = page.getByRole('slider', { name: 'Damped no more often than every' });
  await days.focus();
  for (let press = 0; press < 10; press += 1) await page.keyboard.press('PageUp');
  await expect(page.getByText('No holes grant all of that in this box.')).toBeVisible();
  await page.getByRole('button', { name: 'The other school, on this box' }).click();
  await expect(page.getByRole('img', { name: /^Large dish, no misting/ })).toBeVisible();
  await page.getByRole('button', { name: 'What the physics leaves out' }).click();
  await expect(page.getByText(/Water through the walls/)).toBeVisible();
});
