import { onTheDemo, open, page, pick, reload, see } from '../testing/walking';

onTheDemo();

it('a rest is planned where it suits, kept, and given up', async () => {
  await open('/seasons?part=rest');
  await page.getByRole('link', { name: /^Open F1, Old Timber/ }).click();
  await page.getByRole('radio', { name: /^Cellar/ }).click();
  await see(page.getByText(/^Too warm: Cellar stands at 12 C, it should rest at 2 C to 8 C/)).toBeVisible();
  await page.getByRole('radio', { name: /^Refrigerator/ }).click();
  await see(page.getByRole('img', { name: /down to 6 C by steps/ })).toBeVisible();
  await page.getByRole('button', { name: 'Rest by this plan' }).click();
  await see(page.getByText('Old Timber: rest planned.')).toBeVisible();

  await reload();
  await see(page.getByRole('heading', { name: 'Planned' })).toBeVisible();
  await open('/seasons?part=rest');
  await see(page.getByRole('link', { name: /^Open F1, Old Timber/ })).toContainText('Planned');
  await page.getByRole('link', { name: /^Open F1, Old Timber/ }).click();
  await page.getByRole('button', { name: 'Give the plan up' }).click();
  await see(page.getByRole('heading', { name: 'Plan it' })).toBeVisible();
});

it('the round asks for the next step of a rest; food in the cold is asked about', async () => {
  await open('/');
  await page.getByRole('checkbox', { name: /^F2: Cool down to/ }).click();
  await see(page.getByText('F2: step of its rest done.')).toBeVisible();
  await open('/seasons?part=rest');
  await see(page.getByRole('link', { name: /^Open F2, Ember/ })).toContainText('Cooling down');
  await page.getByRole('link', { name: /^Open F3, Satin/ }).click();
  await see(page.getByRole('heading', { name: 'In the cold' })).toBeVisible();
  await see(page.getByText('Went in: 46', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'All steps' }).click();
  await see(page.getByText(/Cool down to 16\.1 C, done/)).toBeVisible();
});

it('what hatches is planned for, heads are counted in a photo, brood of a queen is noted', async () => {
  await open('/seasons?part=broods');
  await page.getByRole('link', { name: /^Open D10, Eggs of the old hedge/ }).click();
  await see(page.getByRole('img', { name: /^Hatching .* of 140 eggs$/ })).toBeVisible();
  await page.getByRole('button', { name: 'What becomes of the young' }).click();
  await page.getByLabel('To keep').fill('200');
  await page.getByRole('button', { name: 'Plan it so' }).click();
  await see(page.getByText(/There are 140 eggs: 200 young cannot come of them/)).toBeVisible();
  await page.getByLabel('To keep').fill('20');
  await page.getByRole('button', { name: 'Plan it so' }).click();
  await see(page.getByText(/^20 to keep: freeze \d+ eggs now\./)).toBeVisible();

  await open('/seasons?part=colonies');
  await page.getByRole('link', { name: /^Open E1, Swifts/ }).click();
  await page.getByRole('button', { name: 'New entry' }).click();
  await pick('What to write down', 'A count by stages or photo');
  await page.getByRole('radio', { name: 'In a photo' }).click();
  await page.getByLabel('Heads in the photo').fill('130');
  await page.getByLabel('Part of the nest in the photo, %').fill('25');
  await see(page.getByText(/^About 520 in all/)).toBeVisible();
  await page.getByRole('button', { name: 'Write down', exact: true }).click();
  await page.getByRole('tab', { name: 'Growth' }).click();
  await see(page.getByText(/^Counted today, by estimate/)).toBeVisible();

  await open('/seasons?part=colonies');
  await page.getByRole('link', { name: /^Open F5, Tar/ }).click();
  await page.getByRole('button', { name: 'First pupae seen today' }).click();
  await see(page.getByText('First pupae seen today', { exact: true })).toBeVisible();
});
