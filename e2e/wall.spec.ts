import fs from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './house';

const codesOf = (page: Page, shelf: string) =>
  page
    .getByRole('group', { name: shelf, exact: true })
    .getByRole('link')
    .evaluateAll((links) => links.map((link) => link.getAttribute('aria-label')?.split(',')[0]).join(' '));

test('boxes are carried along their shelf by hand and by key, and put back; the wall is saved as a drawing', async ({
  page,
}) => {
  test.skip((page.viewportSize()?.width ?? 0) < 900, 'The whole room stands on a wide screen.');
  await page.goto('/homes');
  const box = (code: string) =>
    page.getByRole('group', { name: 'Shelf A', exact: true }).getByRole('link', { name: new RegExp(`^${code},`) });
  await expect(box('A8')).toBeVisible();
  const before = await codesOf(page, 'Shelf A');
  expect(before).toBe('A1 A2 A3 A4 A5 A6 A7 A8');

  const [from, to] = [await box('A2').boundingBox(), await box('A6').boundingBox()];
  if (!from || !to) throw new Error('The boxes are not drawn.');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 20, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect.poll(() => codesOf(page, 'Shelf A')).toBe('A1 A3 A4 A5 A2 A6 A7 A8');
  // It was carried, not opened.
  expect(new URL(page.url()).pathname).toBe('/homes');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => codesOf(page, 'Shelf A')).toBe(before);

  await box('A2').focus();
  await page.keyboard.press('Space');
  // As a person who listens: the next key when the last has been answered.
  const told = (place: string) => expect(page.getByText(`It would stand on Shelf A, before ${place}.`)).toBeAttached();
  await told('A2');
  await page.keyboard.press('ArrowRight');
  await told('A3');
  await page.keyboard.press('ArrowRight');
  await told('A4');
  await page.keyboard.press('Space');
  await expect.poll(() => codesOf(page, 'Shelf A')).toBe('A1 A3 A2 A4 A5 A6 A7 A8');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => codesOf(page, 'Shelf A')).toBe(before);

  await page.getByRole('radio', { name: 'warmth' }).click();
  await expect(box('A1')).toHaveAccessibleName(/warmth \d/);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a drawing' }).click();
  const drawing = fs.readFileSync(await (await saved).path(), 'utf8');
  // Every box of the room is drawn, not its marks alone.
  const widths = Array.from(drawing.matchAll(/<svg[^>]* width="([\d.]+)/g), ([, width]) => Number(width));
  const boxes = drawing.match(/<text [^>]*font-weight/g)?.length ?? 0;
  expect(boxes).toBeGreaterThan(30);
  expect(widths.filter((width) => width > 16).length).toBe(boxes + 1);

  await box('A1').focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/homes\/[0-9a-f-]{36}$/);
});
