import type { Page } from '@playwright/test';
import { expect, test } from './house';

/** A picture of one pixel. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

const openResident = async (page: Page, typed: string, name: RegExp) => {
  await page.goto('/residents');
  await page.getByLabel('Find by name, box or batch').fill(typed);
  await page.getByRole('link', { name }).click();
};
const writeDown = async (page: Page, what: string) => {
  await page.getByRole('button', { name: 'New entry' }).last().click();
  await page.getByRole('radio', { name: what, exact: true }).click();
};
const saveForm = (page: Page) => page.getByRole('button', { name: 'Write down', exact: true }).click();

test('a group moults by numbers, loses some, lends some out and takes them back', async ({ page, house }) => {
  await openResident(page, 'hedge d4', /^The hedge/);
  await expect(page.getByRole('img', { name: /^Instars: 9 in instar 4, 6 in instar 5/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Survival since they came: 22 came, 7 died/ })).toBeVisible();
  await expect(page.getByText(/^Dashed, The old hedge \(gone\)/)).toBeVisible();

  await writeDown(page, 'Some moulted');
  await page.getByLabel('How many of the 15 are there now').fill('16');
  await page.getByLabel('In which instar').fill('5');
  await saveForm(page);
  await expect(page.getByText(/There are 15: 16 cannot be in instar 5/)).toBeVisible();
  await page.getByLabel('How many of the 15 are there now').fill('12');
  await saveForm(page);
  await expect(page.getByRole('img', { name: /^Instars: 3 in instar 4, 12 in instar 5/ })).toBeVisible();

  await writeDown(page, 'Some left');
  await page.getByLabel('How many died').fill('1');
  await page.getByRole('radio', { name: 'in a moult' }).click();
  await saveForm(page);
  await expect(page.getByText('The hedge: 1 died.')).toBeVisible();
  await expect(page.getByText(/22 came, 8 died/).first()).toBeVisible();

  await writeDown(page, 'Take some out');
  await page.getByLabel('How many to take out').fill('4');
  await page.getByLabel('What you call them, if anything').fill('Twigs');
  await page
    .getByRole('radiogroup', { name: /^To which box/ })
    .getByRole('radio')
    .first()
    .click();
  await page.getByRole('button', { name: /^Move to / }).click();
  await expect(page.getByText(/^4 moved to /)).toBeVisible();
  await page.getByRole('button', { name: 'Where it comes from' }).last().click();
  await expect(page.getByRole('button', { name: 'The hedge', exact: true }).last()).toBeVisible();

  // It was all written down: the power goes, and it is there.
  await house.end('SIGKILL');
  await house.start();
  await openResident(page, 'hedge d4', /^The hedge/);
  await expect(page.getByText(/^10, nymph/).last()).toBeVisible();
  await writeDown(page, 'Join another group');
  await page.getByRole('radio', { name: /Twigs/ }).click();
  await page.getByRole('button', { name: 'Make them one' }).click();
  await expect(page.getByText('The hedge: joined.')).toBeVisible();
  await expect(page.getByText(/^14, nymph/).last()).toBeVisible();
});

test('one animal: its sex with what shows it, weight, note and photo; history narrowed and taken back; gone and back', async ({
  page,
}) => {
  await openResident(page, 'soot', /^Soot/);
  await expect(page.getByRole('img', { name: /^Moults: 4 seen/ })).toBeVisible();
  await writeDown(page, 'Its sex');
  await expect(page.getByText(/between the front book lungs/)).toBeVisible();
  await page.getByRole('radio', { name: 'male', exact: true }).click();
  await saveForm(page);
  await expect(page.getByText('Soot: male, by its shed skin.')).toBeVisible();

  await writeDown(page, 'A size or a count');
  await page.getByLabel('Leg span, mm').fill('40');
  await saveForm(page);
  await expect(page.getByText(/It would have shrunk: 58 mm was written down/)).toBeVisible();
  await page.getByLabel('Leg span, mm').fill('');
  await page.getByLabel('Weight, g').fill('2,4');
  await saveForm(page);
  await expect(page.getByText('Soot: written down.')).toBeVisible();

  await writeDown(page, 'A photo');
  await page.getByLabel('What it shows, if you like').fill('From above');
  await page.getByLabel('Photo of the resident').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: PNG });
  await expect(page.getByText('Soot: photo kept.')).toBeVisible();
  await page.getByRole('radio', { name: 'Notes', exact: true }).click();
  await expect(page.getByRole('img', { name: 'From above' })).toBeVisible();

  await page.getByRole('radio', { name: 'Growth', exact: true }).click();
  await page.getByRole('button', { name: /Male, by its shed skin/ }).click();
  await page.getByRole('button', { name: 'Undo this entry' }).click();
  await expect(page.getByText('Taken back.')).toBeVisible();
  await expect(page.getByRole('button', { name: /Male, by its shed skin/ })).toHaveCount(0);

  await writeDown(page, 'It left');
  await page.getByRole('radio', { name: 'Passed on' }).click();
  await page.getByLabel('To whom').fill('a school in Saltmere');
  await saveForm(page);
  await expect(page.getByText(/^It passed on today/)).toBeVisible();
  await page.getByRole('button', { name: /It passed on to a school in Saltmere/ }).click();
  await page.getByRole('button', { name: 'Undo this entry' }).click();
  await expect(page.getByRole('button', { name: 'New entry' })).toBeVisible();
});

test('one about to moult is left alone by every part; dead or moulting is answered with what not to do', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByText(/B5.*dull and dark since.*% a moult is close, food again about/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'B5: taken' })).toHaveCount(0);
  await openResident(page, 'orme', /^Widow Orme/);
  await page.getByRole('button', { name: 'Other boxes' }).click();
  await page.getByRole('radio', { name: /^B11/ }).click();
  await page.getByRole('button', { name: 'Move to B11', exact: true }).click();
  await expect(page.getByText(/Only if it is in danger where it is: then tap again/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Move to B11 all the same' })).toBeVisible();

  await openResident(page, 'orme', /^Widow Orme/);
  await page.getByRole('button', { name: 'Dead or moulting?' }).click();
  await expect(page.getByText(/^Leave it: most likely it rests or moults/)).toBeVisible();
  await expect(page.getByText('Do not turn it over, touch or lift it: the new skin tears.')).toBeVisible();
  await page.getByRole('checkbox', { name: /Legs curled under it/ }).click();
  await page.getByRole('checkbox', { name: /smells foul/ }).click();
  await expect(page.getByText('By what you see it is dead.')).toBeVisible();
  await page.getByRole('checkbox', { name: /It moved, however little/ }).click();
  await expect(page.getByText(/^(Leave it|Look from outside)/)).toBeVisible();
  await page.getByRole('button', { name: 'Write down that I looked' }).click();
  await expect(page.getByText('Widow Orme: looked at.')).toBeVisible();
});

test('a shelf is fed as one act and taken back as one; a pasted table says what it cannot read (on a phone)', async ({
  page,
}) => {
  await page.goto('/bulk');
  await page.getByRole('radio', { name: 'Shelf B, upper' }).click();
  await expect(page.getByText(/^Left alone: B5 Widow Orme/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'Done to: B4 Vesper' }).click();
  await page.getByRole('button', { name: 'Write down: 3 fed' }).click();
  await expect(page.getByText('Shelf B, upper: 3 fed.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Taken back.')).toBeVisible();

  await page.getByRole('radio', { name: 'Paste a table' }).click();
  await page.getByLabel('The table').fill('box\twhat\tsize\nB3\tmoulted\t121\nB99\tfed\t');
  await expect(page.getByText('Line 3: Nobody here is called “B99”, and no box is.')).toBeVisible();
  await expect(page.getByRole('button', { name: '1 line is not clear' })).toBeDisabled();
  await page.getByLabel('The table').fill('box\twhat\tsize\nB3\tmoulted\t121');
  await page.getByRole('button', { name: 'Write down 1 line' }).click();
  await expect(page.getByText('1 line written down.')).toBeVisible();
  await openResident(page, 'bramble', /^Bramble/);
  await expect(page.getByText(/^female, adult, span 121 mm/).last()).toBeVisible();
});

test('everybody in the order of their next moults, and those that are gone (on a phone)', async ({ page }) => {
  await page.goto('/residents');
  await page.getByRole('radio', { name: 'Next moult' }).click();
  await expect(page.getByRole('link', { name: /^Rigger, Hierodula membranacea, D1, about / })).toBeVisible();
  await page.getByRole('radio', { name: 'Gone' }).click();
  await expect(page.getByRole('link', { name: /^Wick, Tliltocatl albopilosus, died/ })).toBeVisible();
  await page.getByLabel('Find by name, box or batch').fill('pulchra 23/2');
  await expect(page.getByRole('link')).toContainText(['Spindle']);
});
