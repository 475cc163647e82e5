import { onTheDemo, open, page, pick, see } from '../testing/walking';

onTheDemo();

async function openFeeding(sought: string, name: RegExp): Promise<void> {
  await open('/residents');
  await page.getByLabel('Find by name, box or batch').fill(sought);
  await page.getByRole('link', { name }).click();
  await page.getByRole('tab', { name: 'Food' }).click();
  await see(page.getByRole('heading', { name: 'Next meal' })).toBeVisible();
}

it('one left alone is offered food only when that is meant, and what one is never given is refused', async () => {
  await openFeeding('orme', /^Widow Orme/);
  await page.getByLabel('How many').fill('1');
  await page.getByRole('button', { name: 'Write down the meal' }).click();
  await see(page.getByText(/It is to be left alone now: prey can hurt it/)).toBeVisible();
  await page.getByRole('button', { name: 'Write down all the same' }).click();
  await page.getByRole('tab', { name: 'Log' }).click();
  await see(page.getByText(/^Offered 1 .*, while it was to be left alone$/)).toBeVisible();

  await openFeeding('slow table', /^The slow table/);
  await page.getByRole('button', { name: 'Never given' }).click();
  await see(page.getByText('garlic: Never garlic for snails.')).toBeVisible();
  await pick('Food it is never given', 'carrot');
  await page.getByLabel('Why not').fill('It bloated.');
  await page.getByRole('button', { name: 'Never give this' }).click();
  await see(page.getByText('The slow table: never carrot.')).toBeVisible();
  await pick('What it was given', 'carrot');
  await page.getByLabel('How much, g').fill('4');
  // It has sealed itself in: that is asked about first.
  await page.getByRole('button', { name: 'Write down the meal' }).click();
  await page.getByRole('button', { name: 'Write down all the same' }).click();
  await see(page.getByText(/carrot: It bloated\./)).toBeVisible();
});

it('leaves are changed, the old ones searched; a school for the kind changes the meal', async () => {
  await open('/');
  await page.getByRole('checkbox', { name: /^D5: Fresh: \d+ cuttings of bramble/ }).click();
  await page.getByRole('checkbox', { name: 'D5: Search the old leaves, then throw them away' }).click();
  await see(page.getByText('D5: old leaves searched, thrown away.')).toBeVisible();

  await open('/residents');
  await page.getByLabel('Find by name, box or batch').fill('Bramble');
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await page.getByRole('tab', { name: 'Care' }).click();
  await page.getByRole('link', { name: /^Kept as ground tarantula/ }).click();
  await page.getByRole('radio', { name: 'its kind' }).click();
  await page.getByRole('radio', { name: 'Large and rarely' }).click();
  await see(page.getByText(/residents, .* less work a year\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await see(page.getByText('In force: large and rarely, chosen for every ground tarantula.')).toBeVisible();
  await openFeeding('Bramble', /^Bramble/);
  await see(page.getByText('Every 30 days.')).toBeVisible();
});

it('the store takes off what was fed, refuses more than there is, and plans by another price list', async () => {
  await open('/store/items/field-cricket-medium');
  await page.getByLabel('How many').fill('50');
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await see(page.getByText('About 50, counted today')).toBeVisible();
  await page.getByRole('radio', { name: 'died' }).click();
  await page.getByLabel('How many').fill('60');
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await see(page.getByText(/Must be at most 50, which is what there is; got 60/)).toBeVisible();
  await page.getByLabel('How many').fill('8');
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await see(page.getByText('About 42, counted today')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await see(page.getByText('About 50, counted today')).toBeVisible();

  await open('/store/orders');
  await page.getByRole('button', { name: 'Price list' }).click();
  await page.getByLabel('Price list').fill('item,pack_size,pack_price,lead_days,handling\ndubia-roach-small,x,4,2,1');
  await page.getByRole('button', { name: 'Plan by this list' }).click();
  await see(page.getByText(/Must be a number of at least 0.001; got “x”/)).toBeVisible();
  await page
    .getByLabel('Price list')
    .fill('item,pack_size,pack_price,lead_days,handling\nfield-cricket-small,90,4,2,1');
  await page.getByRole('button', { name: 'Plan by this list' }).click();
  await see(page.getByText('Your price list is in force.')).toBeVisible();
  await see(page.getByText(/x 90 small field crickets$/).first()).toBeVisible();
});
