import { control } from '../src/server/testing/standingServer';
import { expect, testOfNothing as test } from './house';

test('the first hour of an empty house: a box, an animal in it, its work, and nothing that is not there', async ({
  page,
  house,
}) => {
  await test.step('every place says that it is empty, and what to begin with', async () => {
    await page.goto('/');
    await expect(page.getByText(/^Begin with a box/)).toBeVisible();
    for (const [place, words] of [
      ['Residents', 'Nobody yet.'],
      ['Wall', 'Add a box'],
      ['Store', /counted|Nothing/],
    ] as const) {
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click();
      await expect(page.getByText(words).first()).toBeVisible();
    }
  });

  await test.step('a shelf and a box are made in one form', async () => {
    await page.goto('/homes/new');
    await page.getByLabel('Code on the shelf').fill('A1');
    await page.getByLabel('Room', { exact: true }).fill('Kitchen');
    await page.getByLabel('Name of the shelf').fill('Window');
    await page.getByLabel('Length inside, mm').fill('20 cm');
    await page.getByLabel('Width inside, mm').fill('150');
    await page.getByLabel('Height inside, mm').fill('150');
    await page.getByLabel(/^Soil in it now/).fill('80');
    await page.getByRole('radio', { name: 'Drilled holes' }).click();
    await page.getByLabel('How many in each side').fill('12');
    await page.getByRole('button', { name: 'Add this box' }).click();
    await expect(page.getByText('A1 added.')).toBeVisible();
  });

  await test.step('the first animal moves in, and has its peace on the first evening', async () => {
    await page.goto('/take-in');
    await page.getByLabel('Scientific name').fill('grammostola pul');
    await page.getByRole('button', { name: 'Fill in Grammostola pulchra' }).click();
    await page.getByLabel('Leg span, mm').fill('45');
    await page.getByRole('radio', { name: 'juvenile', exact: true }).click();
    await page.getByRole('radio', { name: /^A1, / }).click();
    await page.getByRole('button', { name: /^Take in to A1/ }).click();
    await expect(page.getByText(/taken in to A1/)).toBeVisible();
    await page.goto('/round');
    await expect(page.getByText('Nothing is due here today.')).toBeVisible();
    await page.getByRole('button', { name: 'See what comes next' }).click();
    await expect(page.getByText(/Grammostola pulchra/).first()).toBeVisible();
  });

  await test.step('a week later it stands on the round', async () => {
    await control(house.address, 'clock', { days: 7 });
    await page.goto('/round');
    await expect(page.getByText(/A1.*Grammostola pulchra/).first()).toBeVisible();
  });
});
