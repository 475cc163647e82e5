import type { Page } from '@playwright/test';
import { expect, test, type House } from './house';

const idOf = async (page: Page, house: House, called: string): Promise<{ id: string; homeId: string }> => {
  const { residents } = await (await page.request.get(`${house.address}/api/residents`)).json();
  return residents.find((each: { called: string }) => each.called === called);
};

test('a card is found by an old name with a slip, says what its numbers rest on, and leads to the calculator', async ({
  page,
}) => {
  await page.goto('/settings');
  await page.getByRole('link', { name: 'Handbook' }).click();
  await page.getByLabel('Find by scientific or common name').fill('haploplema livid');
  await page.getByRole('link', { name: /^Cyriopagopus lividus/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Cyriopagopus lividus' })).toBeVisible();
  await expect(page.getByText('Also called Haplopelma lividum.')).toBeVisible();
  await expect(page.getByRole('note', { name: 'Caution' })).toContainText('do not handle, do not work alone');
  const parts = await page.getByRole('heading', { level: 2 }).allTextContents();
  expect(parts.slice(0, 5)).toEqual(['Home', 'Soil', 'Air and water', 'Warmth', 'Food']);
  await page.goto('/handbook/Caribena%20versicolor');
  await page.getByRole('button', { name: /^Humidity: 60 to 88 %. from memory/ }).click();
  await page.getByRole('button', { name: 'Air and water' }).click();
  await expect(page).toHaveURL(/\/homes\/.*\/air/);
});

test('the handbook is read while the server is away, once it was opened (on a phone)', async ({ page, house }) => {
  await page.goto('/handbook');
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.reload();
  await page.getByRole('link', { name: /^Damon diadema/ }).click();
  await expect(page.getByText('Tanzanian whip spider', { exact: false })).toBeVisible();
  await house.end('SIGKILL');
  await page.goto('/handbook/Attacus%20atlas');
  await expect(page.getByRole('button', { name: /^Humidity: 65 to 90 %/ })).toBeVisible({ timeout: 20_000 });
  await house.start();
});

test('dangers stand before every step that exposes somebody', async ({ page, house }) => {
  const { id, homeId } = await idOf(page, house, 'Marquise');
  await page.goto('/');
  await expect(page.getByText(/serious venom, not alone/).first()).toBeVisible();
  const venom = /medically serious/;
  const paths = ['', '/feeding', '/boxes', '/trouble', '/still', '/rest', '/move'].map(
    (part) => `/residents/${id}${part}`,
  );
  for (const path of [...paths, `/homes/${homeId}`]) {
    await page.goto(path);
    await expect(page.getByText(venom).first(), path).toBeVisible();
  }
  await page.goto('/bulk');
  await page.getByRole('radio', { name: 'Shelf B, upper' }).click();
  await expect(page.getByText(venom).first()).toBeVisible();
  // And of a species that nobody knows, before it is taken in.
  await page.goto('/take-in');
  await page.getByRole('radio', { name: 'Burrowing tarantula' }).click();
  await page.getByLabel('Scientific name').fill("Omothymus sp. 'north quay'");
  await expect(page.getByText('Nobody here knows this species.', { exact: false })).toBeVisible();
  await expect(page.getByText(venom).first()).toBeVisible();
});

test('the emergency card has the keepers’ own numbers, and refuses what is no number (on a phone)', async ({
  page,
}) => {
  await page.goto('/handbook/emergency');
  await expect(page.getByRole('button', { name: '01632 960 240' })).toBeVisible();
  await page.getByRole('button', { name: /^Write the numbers/ }).click();
  await page.getByLabel('Doctor: number').fill('ask around');
  await page.getByRole('button', { name: 'Keep the card' }).click();
  await expect(page.getByText(/Must be a telephone number/).first()).toBeVisible();
  await page.getByLabel('Doctor: number').fill('01632 960 555');
  await page.getByRole('button', { name: 'Keep the card' }).click();
  await expect(page.getByRole('button', { name: '01632 960 555' })).toBeVisible();
});

test('from a sign to causes; what was tried is asked after, and shown for the next of its kind', async ({
  page,
  house,
}) => {
  const one = await idOf(page, house, 'Bracken');
  await page.goto(`/residents/${one.id}/trouble`);
  const sign = (title: RegExp, answer: string) =>
    page.getByRole('radiogroup', { name: title }).getByRole('radio', { name: answer, exact: true }).click();
  await sign(/^White, grey or moving things at its mouth/, 'yes');
  await expect(page.getByText(/^Likeliest: mites, nematodes or maggots/)).toBeVisible();
  await expect(page.getByText('Move nothing from this box to another.')).toBeVisible();
  await page.getByLabel('What you try').fill('Kept apart, tools of its own');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByText('Kept apart, tools of its own')).toBeVisible();
  const other = await idOf(page, house, 'Thimble');
  await page.goto(`/residents/${other.id}/trouble`);
  await page
    .getByRole('radiogroup', { name: 'What came of it, Bracken' })
    .getByRole('radio', { name: 'it helped' })
    .click();
  await expect(page.getByRole('radiogroup', { name: 'What came of it, Bracken' })).toHaveCount(0);
});

test('a school shows what it changes before it is chosen, and is left or kept', async ({ page, house }) => {
  const { id } = await idOf(page, house, 'Vesper');
  await page.goto(`/residents/${id}/care`);
  await page.getByRole('radio', { name: 'Mist to a number' }).click();
  await expect(page.getByText(/to mist: \d+ times a year instead of 0/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(
    page.getByText('In force: large dish and strong side ventilation, no misting, the usual.'),
  ).toBeVisible();
  await page.getByRole('radio', { name: 'Mist to a number' }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('In force: mist to a number, chosen for Vesper.')).toBeVisible();
});

test('a school on openings changes what the build sheet cuts (on a phone)', async ({ page, house }) => {
  const { id, homeId } = await idOf(page, house, 'Bramble');
  await page.goto(`/residents/${id}/care`);
  await page.getByRole('radio', { name: 'One cut-out under mesh' }).click();
  await expect(
    page.getByText(/a new box gets \d+ round openings? of \d+ mm .* instead of \d+ holes of 3 mm/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('In force: one cut-out under mesh, chosen for Bramble.')).toBeVisible();
  await page.goto(`/build?homes=${homeId}`);
  await expect(page.getByRole('checkbox', { name: /^B3: Cut \d+ round openings? of \d+ mm/ })).toBeVisible();
});

test('a helper answers cases of this house, and is told why (on a phone)', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('Who you are').fill('Odalys Fenn');
  await page.goto('/handbook/trainer');
  await expect(page.getByText(/^Case 1 of \d/)).toBeVisible();
  await page.getByRole('group', { name: 'What do you do?' }).getByRole('button').first().click();
  await expect(page.getByText(/^(So it is\.|Rather: )/)).toBeVisible();
  await page.getByRole('button', { name: 'Next case' }).click();
  await expect(page.getByText(/^Case 2 of \d/)).toBeVisible();
  await expect(page.getByText('Odalys Fenn', { exact: true })).toBeVisible();
});

test('papers that end come up on the walk until they are written down anew (on a phone)', async ({ page, house }) => {
  const { id } = await idOf(page, house, 'Marquise');
  await page.goto('/');
  await expect(page.getByText('Renew its papers: CITES paper')).toBeVisible();
  await page.goto(`/residents/${id}/papers`);
  await page.getByRole('radio', { name: 'CITES paper' }).click();
  await page.getByLabel('Last day on which they hold, if any').fill('2031-02-30');
  await expect(page.getByText('A day written 2027-03-14.')).toBeVisible();
  await page.getByLabel('Last day on which they hold, if any').fill('2031-02-28');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(/holds until 28 Feb 2031/)).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 2, name: /^Leave alone/ })).toBeVisible();
  await expect(page.getByText('Renew its papers: CITES paper')).toHaveCount(0);
});

test('a card of one’s own is kept, found by its other name, and taken out (on a phone)', async ({ page }) => {
  await page.goto('/handbook/own/new');
  await page.getByLabel('Scientific name').fill('hemisotis northi');
  await page.getByRole('button', { name: 'Write Hemisotis northi' }).click();
  await page.getByLabel('Other names that lead here').fill('Caribena versicolor');
  await page.getByRole('button', { name: 'Keep this card' }).click();
  await expect(page.getByText(/has a card of its own/).first()).toBeVisible();
  await page.getByLabel('Other names that lead here').fill('Hemisotis borealis');
  await page.getByLabel('Soil', { exact: true }).fill('Loam from the quay.');
  await page.getByRole('button', { name: 'Keep this card' }).click();
  await expect(page.getByText('Loam from the quay.')).toBeVisible();
  await page.goto('/handbook');
  await page.getByLabel('Find by scientific or common name').fill('borealis');
  await page.getByRole('link', { name: /^Hemisotis northi/ }).click();
  await page.getByRole('button', { name: 'Change your card' }).click();
  await page.getByRole('button', { name: 'Take this card out' }).click();
  await expect(page.getByText('Your card of Hemisotis northi is taken out.')).toBeVisible();
});
