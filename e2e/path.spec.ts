import { expect, test, testOfPower, pick, openResident } from './house';

testOfPower('from taking in to the log, over a restart and a kill (on a phone)', async ({ page, house }) => {
  await page.goto('/take-in');

  await test.step('a name out of form is mended with one tap', async () => {
    await page.getByLabel('Scientific name').fill('grammostola Pulchra');
    await page.getByLabel('What you call it, if anything').fill('Harbour');
    await page.getByRole('button', { name: 'Write Grammostola pulchra' }).click();
    await expect(page.getByLabel('Scientific name')).toHaveValue('Grammostola pulchra');
    await expect(page.getByText(/barbed hairs/)).toBeVisible();
  });

  await test.step('a size that cannot be is refused at its field', async () => {
    await page.getByLabel('Leg span, mm').fill('10000');
    await page.getByLabel('What you call it, if anything').click();
    await expect(page.getByText('Must be from 0.5 mm to 400 mm.')).toBeVisible();
  });

  await test.step('own boxes are ranked as the size is typed, in any unit', async () => {
    await page.getByLabel('Leg span, mm').fill('11.8 cm');
    await page.getByRole('radio', { name: 'adult', exact: true }).click();
    const boxes = page.getByRole('radiogroup', { name: 'Boxes, best first' }).getByRole('radio');
    await expect(boxes.first()).toHaveAccessibleName('B9, Fits');
    await boxes.filter({ hasText: 'B11' }).click();
    await expect(page.getByText('B11, filled to 123 mm')).toBeVisible();
    await expect(page.getByRole('img', { name: /Section through B11.*soil 123 mm deep/ })).toBeVisible();
  });

  await test.step('it is saved, and its home drawn', async () => {
    await page.getByRole('button', { name: 'Take in to B11' }).click();
    await expect(page.getByText('Harbour taken in to B11.')).toBeVisible();
    await expect(page.getByRole('img', { name: /Section through B11/ })).toBeVisible();
    await expect(page.getByText('In order', { exact: true })).toBeVisible();
  });

  await test.step('it meets the keeper on the round of a day to come, and its log can be written', async () => {
    await house.end('SIGTERM');
    await house.start();
    await openResident(page, 'Harbour');
    await page.getByRole('button', { name: 'New entry' }).click();
    await pick(page, 'What to write down', 'A sign');
    await pick(page, 'Sign of a moult', 'dull');
    await expect(page.getByText('Harbour: dull.')).toBeVisible();
    await expect(page.getByText('Noticed: dull')).toBeVisible();
    await page.getByRole('link', { name: 'Round' }).click();
    await expect(page.getByText(/B11.*Grammostola pulchra.*dull since today/)).toBeVisible();
  });

  await test.step('what is due is done with one tap, and comes back after kill -9', async () => {
    const feed = page.getByRole('checkbox', { name: /^B3: .*up to 22 mm/ });
    const saved = page.waitForResponse((answer) => answer.url().includes('/api/entries') && answer.ok());
    await page.getByRole('button', { name: 'B3: left in' }).click();
    await expect(page.getByText('B3: left in, to be looked after.')).toBeVisible();
    await expect(feed).toBeChecked();
    await saved;
    await house.end('SIGKILL');
    await house.start();
    await page.goto('/round');
    await expect(feed).toBeChecked();
    await openResident(page, 'Harbour');
  });

  await test.step('a second server on the same folder is turned away in plain words', async () => {
    const said = await house.secondServer();
    expect(said).toMatch(/in use by process \d+/);
    expect(said).not.toContain('    at ');
  });
});

test('settings are kept on the device: unit, night, keeper (on a phone)', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('radio', { name: 'cm', exact: true }).click();
  await page.getByRole('radio', { name: 'night round' }).click();
  await page.getByLabel('Who you are').fill('Imre Talsk');
  await page.goto('/round');
  await expect(page.getByRole('heading', { name: 'Night round' })).toBeVisible();
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(0, 0, 0)');
  await expect(page.getByText(/^\d+ .*, up to 2.2 cm$/).first()).toBeVisible();
  await page.getByRole('button', { name: 'B3: taken' }).click();
  await expect(page.getByText('B3: taken.')).toBeVisible();
  await openResident(page, 'Bramble');
  await page.getByRole('tab', { name: 'Log' }).click();
  await page.getByRole('button', { name: /^today: Offered \d+ .*(crickets|roaches)/ }).click();
  await expect(page.getByText('by Imre Talsk')).toBeVisible();
  await page.goto('/round');
  await page.getByRole('switch', { name: 'Night colours' }).click();
  await expect(page.getByRole('heading', { name: /’s round$/ })).toBeVisible();
});
