import type { Page } from '@playwright/test';
import { expect, test } from './house';

async function openFeeding(page: Page, sought: string, name: RegExp): Promise<void> {
  await page.goto('/residents');
  await page.getByLabel('Find by name, box or batch').fill(sought);
  await page.getByRole('link', { name }).click();
  await page.getByRole('button', { name: 'Feeding' }).click();
  await expect(page.getByRole('heading', { name: 'Next meal' })).toBeVisible();
}

test('one left alone is offered food only when that is meant, and what one is never given is refused (on a phone)', async ({
  page,
}) => {
  await openFeeding(page, 'orme', /^Widow Orme/);
  await page.getByLabel('How many').fill('1');
  await page.getByRole('button', { name: 'Write down the meal' }).click();
  await expect(page.getByText(/It is to be left alone now: prey can hurt it/)).toBeVisible();
  await page.getByRole('button', { name: 'Write down all the same' }).click();
  await page.getByRole('button', { name: 'Back to Back' }).click();
  await expect(page.getByText(/^Offered 1 .*, while it was to be left alone$/)).toBeVisible();

  await openFeeding(page, 'slow table', /^The slow table/);
  await page.getByRole('button', { name: 'Never given' }).click();
  await expect(page.getByText('garlic: Never garlic for snails.')).toBeVisible();
  await page.getByRole('radiogroup', { name: 'Food it is never given' }).getByRole('radio', { name: 'carrot' }).click();
  await page.getByLabel('Why not').fill('It bloated.');
  await page.getByRole('button', { name: 'Never give this' }).click();
  await expect(page.getByText('The slow table: never carrot.')).toBeVisible();
  await page.getByRole('radiogroup', { name: 'What it was given' }).getByRole('radio', { name: 'carrot' }).click();
  await page.getByLabel('How much, g').fill('4');
  // It has sealed itself in: that is asked about first.
  await page.getByRole('button', { name: 'Write down the meal' }).click();
  await page.getByRole('button', { name: 'Write down all the same' }).click();
  await expect(page.getByText(/carrot: It bloated\./)).toBeVisible();
});

test('leaves are changed, the old ones searched; a school for the kind changes the meal', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('checkbox', { name: /^D5: Fresh: \d+ cuttings of bramble/ }).click();
  await page.getByRole('checkbox', { name: 'D5: Search the old leaves, then throw them away' }).click();
  await expect(page.getByText('D5: old leaves searched, thrown away.')).toBeVisible();

  await page.goto('/residents');
  await page.getByLabel('Find by name, box or batch').fill('Bramble');
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await page.getByRole('button', { name: /^Kept as ground tarantula/ }).click();
  await page.getByRole('radio', { name: 'its kind' }).click();
  await page.getByRole('radio', { name: 'Large and rarely' }).click();
  await expect(page.getByText(/residents, .* less work a year\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('In force: large and rarely, chosen for every ground tarantula.')).toBeVisible();
  await openFeeding(page, 'Bramble', /^Bramble/);
  await expect(page.getByText('Every 30 days.')).toBeVisible();
});

test('the store takes off what was fed, refuses more than there is, and plans by another price list (on a phone)', async ({
  page,
}) => {
  await page.goto('/store/items/field-cricket-medium');
  await page.getByLabel('How many').fill('50');
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await expect(page.getByText('About 50, counted today')).toBeVisible();
  await page.getByRole('radio', { name: 'died' }).click();
  await page.getByLabel('How many').fill('60');
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await expect(page.getByText(/Must be at most 50, which is what there is; got 60/)).toBeVisible();
  await page.getByLabel('How many').fill('8');
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await expect(page.getByText('About 42, counted today')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('About 50, counted today')).toBeVisible();

  await page.goto('/store/orders');
  await page.getByRole('button', { name: 'Price list' }).click();
  await page.getByLabel('Price list').fill('item,pack_size,pack_price,lead_days,handling\ndubia-roach-small,x,4,2,1');
  await page.getByRole('button', { name: 'Plan by this list' }).click();
  await expect(page.getByText(/Must be a number of at least 0.001; got “x”/)).toBeVisible();
  await page.getByLabel('Price list').fill('item,pack_size,pack_price,lead_days,handling\ndubia-roach-small,90,4,2,1');
  await page.getByRole('button', { name: 'Plan by this list' }).click();
  await expect(page.getByText('Your price list is in force.')).toBeVisible();
  await expect(page.getByText(/x small spotted roaches$/).first()).toBeVisible();
});
