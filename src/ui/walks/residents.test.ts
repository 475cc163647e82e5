import { onTheDemo, open, page, pick, see } from '../testing/walking';

onTheDemo();

const PNG = new File(['x'], 'a.png', { type: 'image/png' });

const openResident = async (typed: string, name: RegExp) => {
  await open('/residents');
  await page.getByLabel('Find by name, box or batch').fill(typed);
  await page.getByRole('link', { name }).click();
};
const writeDown = async (what: string) => {
  await page.getByRole('button', { name: 'New entry' }).last().click();
  await pick('What to write down', what);
};
const saveForm = () => page.getByRole('button', { name: 'Write down', exact: true }).click();

it('a group moults by numbers, loses some, lends some out and takes them back', async () => {
  await openResident('hedge d4', /^The hedge/);
  await page.getByRole('tab', { name: 'Growth' }).click();
  await see(page.getByRole('img', { name: /^Instars: 9 in instar 4, 6 in instar 5/ })).toBeVisible();
  await see(page.getByRole('img', { name: /^Survival since they came: 22 came, 7 died/ })).toBeVisible();
  await see(page.getByText(/^Dashed, The old hedge \(gone\)/)).toBeVisible();

  await writeDown('Some moulted');
  await page.getByLabel('How many of the 15 are there now').fill('16');
  await page.getByLabel('In which instar').fill('5');
  await saveForm();
  await see(page.getByText(/There are 15: 16 cannot be in instar 5/)).toBeVisible();
  await page.getByLabel('How many of the 15 are there now').fill('12');
  await saveForm();
  await page.getByRole('tab', { name: 'Growth' }).click();
  await see(page.getByRole('img', { name: /^Instars: 3 in instar 4, 12 in instar 5/ })).toBeVisible();

  await writeDown('Some left');
  await page.getByLabel('How many died').fill('1');
  await pick('What it is put down to', 'in a moult');
  await saveForm();
  await see(page.getByText('The hedge: 1 died.')).toBeVisible();
  await page.getByRole('tab', { name: 'Growth' }).click();
  await see(page.getByText(/22 came, 8 died/).first()).toBeVisible();

  await writeDown('Take some out');
  await page.getByLabel('How many to take out').fill('4');
  await page.getByLabel('What you call them, if anything').fill('Twigs');
  await page.getByRole('button', { name: /^To which box/ }).click();
  await page.getByRole('dialog').getByRole('radio').first().click();
  await page.getByRole('button', { name: /^Move to / }).click();
  await see(page.getByText(/^4 moved to /)).toBeVisible();
  await page.getByRole('tab', { name: 'Growth' }).click();
  await page.getByRole('button', { name: 'Where it comes from' }).last().click();
  await see(page.getByRole('button', { name: 'The hedge', exact: true }).last()).toBeVisible();

  // It was all written down.
  await openResident('hedge d4', /^The hedge/);
  await see(page.getByText(/ 10, nymph/).last()).toBeVisible();
  await writeDown('Join another group');
  // Eggs of the same kind are there, and are no group that lives yet.
  await see(page.getByRole('radio', { name: /Eggs of the old hedge/ })).toHaveCount(0);
  await page.getByRole('radio', { name: /Twigs/ }).click();
  await page.getByRole('button', { name: 'Make them one' }).click();
  await see(page.getByText('The hedge: joined.')).toBeVisible();
  await see(page.getByText(/ 14, nymph/).last()).toBeVisible();
});

it('one animal: its sex with what shows it, weight, note and photo; history narrowed and taken back; gone and back', async () => {
  await openResident('soot', /^Soot/);
  await page.getByRole('tab', { name: 'Growth' }).click();
  await see(page.getByRole('img', { name: /^Moults: 4 seen/ })).toBeVisible();
  await writeDown('Its sex');
  await see(page.getByText(/between the front book lungs/)).toBeVisible();
  await page.getByRole('radio', { name: 'male', exact: true }).click();
  await saveForm();
  await see(page.getByText('Soot: male, by its shed skin.')).toBeVisible();

  await writeDown('A size or a count');
  await page.getByLabel('Leg span, mm').fill('40');
  await saveForm();
  await see(page.getByText(/It would have shrunk: 58 mm was written down/)).toBeVisible();
  await page.getByLabel('Leg span, mm').fill('');
  await page.getByLabel('Weight, g').fill('2,4');
  await saveForm();
  await see(page.getByText('Soot: written down.')).toBeVisible();

  await page.getByRole('button', { name: /2\.4 g/ }).click();
  await page.getByRole('button', { name: 'Put right' }).click();
  await page.getByLabel('Weight, g').fill('2,6');
  await page.getByLabel('Note').fill('The scale was not at zero.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await see(page.getByRole('button', { name: /2\.6 g/ })).toBeVisible();
  await page.getByRole('button', { name: 'How it stood before' }).click();
  await see(page.getByText(/^Before it was put right today: today, .*2\.4 g/)).toBeVisible();

  await writeDown('A photo');
  await page.getByLabel('What it shows, if you like').fill('From above');
  await page.getByLabel('Photo of the resident').setInputFiles(PNG);
  await see(page.getByText('Soot: photo kept.')).toBeVisible();
  await pick('Show', 'Notes');
  await see(page.getByRole('img', { name: 'From above' })).toBeVisible();

  await pick('Show', 'Growth');
  await page.getByRole('button', { name: /Male, by its shed skin/ }).click();
  await page.getByRole('button', { name: 'Take back' }).click();
  await see(page.getByText('Taken back.')).toBeVisible();
  await see(page.getByRole('button', { name: /Male, by its shed skin/ })).toHaveCount(0);
  await pick('Show', 'Taken back');
  await page.getByRole('button', { name: /Male, by its shed skin/ }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await see(page.getByText('Brought back.')).toBeVisible();
  await pick('Show', 'Growth');
  await see(page.getByRole('button', { name: /Male, by its shed skin/ })).toBeVisible();

  await writeDown('It left');
  await page.getByRole('radio', { name: 'Passed on' }).click();
  await page.getByLabel('To whom').fill('a school in Saltmere');
  await saveForm();
  await see(page.getByText(/^It passed on today/)).toBeVisible();
  await page.getByRole('button', { name: /It passed on to a school in Saltmere/ }).click();
  await page.getByRole('button', { name: 'Take back' }).click();
  await see(page.getByRole('button', { name: 'New entry' })).toBeVisible();
});

it('one about to moult is left alone by every part; dead or moulting is answered with what not to do', async () => {
  await open('/');
  await see(page.getByText(/B5.*dull.*since.*% a moult is close, food again/)).toBeVisible();
  await see(page.getByRole('button', { name: 'B5: taken' })).toHaveCount(0);
  await openResident('orme', /^Widow Orme/);
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await page.getByRole('radio', { name: /^B11/ }).click();
  await page.getByRole('button', { name: 'Move to B11', exact: true }).click();
  // Its sheet comes first, and says that it is not moved now.
  await see(page.getByText('If it gets out')).toBeVisible();
  await see(page.getByText('It is not moved now, unless it is in danger where it is.')).toBeVisible();
  await page.getByRole('button', { name: 'It is in B11', exact: true }).click();
  await see(page.getByText(/^Not ticked: \d+ steps$/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();

  await openResident('orme', /^Widow Orme/);
  await page.getByRole('tab', { name: 'Growth' }).click();
  await page.getByRole('button', { name: 'Dead or moulting?' }).click();
  await see(page.getByText(/^Leave it: most likely it rests or moults/)).toBeVisible();
  await see(page.getByText('Do not turn it over, touch or lift it: the new skin tears.')).toBeVisible();
  await page.getByRole('checkbox', { name: /Legs curled under it/ }).click();
  await page.getByRole('checkbox', { name: /smells foul/ }).click();
  await see(page.getByText('By what you see it is dead.')).toBeVisible();
  await page.getByRole('checkbox', { name: /It moved, however little/ }).click();
  await see(page.getByText(/^(Leave it|Look from outside)/)).toBeVisible();
  await page.getByRole('button', { name: 'Write down that I looked' }).click();
  await see(page.getByText('Widow Orme: looked at.')).toBeVisible();
});

it('a shelf is fed as one act and taken back as one; a pasted table says what it cannot read', async () => {
  await open('/bulk');
  await pick('Shelf', 'Shelf B, upper');
  await see(page.getByText(/^Left alone: B5 Widow Orme/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'Done to: B4 Vesper' }).click();
  await page.getByRole('button', { name: 'Write down: 3 fed' }).click();
  await see(page.getByText('Shelf B, upper: 3 fed.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await see(page.getByText('Taken back.')).toBeVisible();

  await page.getByRole('button', { name: 'Bring a list in from a sheet' }).click();
  await page.getByLabel('Or paste the table here').fill('box\twhat\tsize\nB3\tmoulted\t121\nB99\tfed\t');
  await see(page.getByText('Line 3: Nobody here is called “B99”, and no box is.')).toBeVisible();
  await see(page.getByRole('button', { name: '1 row is not clear' })).toBeDisabled();
  await page.getByLabel('Or paste the table here').fill('box\twhat\tsize\nB3\tmoulted\t121');
  await page.getByRole('button', { name: 'Bring 1 event in' }).click();
  await see(page.getByText('1 event brought in.')).toBeVisible();
  await openResident('bramble', /^Bramble/);
  await see(page.getByText(/female, adult, span 121 mm/).last()).toBeVisible();
});

it('boxes and who lives in them come in from sheets, row by row clear or not, and go as one', async () => {
  await open('/lists');
  const paste = (text: string) => page.getByLabel('Or paste the table here').fill(text);
  await paste('Code;Size (cm);Soil\nQ1;20 x 20 x 20;80\nQ2;20 x 20 x 20;80\nB3;20 x 20 x 20;80');
  await page.getByRole('button', { name: 'Bring 3 boxes in' }).click();
  await see(page.getByText(/Line 4: Code of the box: Taken/)).toBeVisible();
  await paste('Code;Size (cm);Soil\nQ1;20 x 20 x 20;80\nQ2;20 x 20 x 20;80');
  await page.getByRole('button', { name: 'Bring 2 boxes in' }).click();
  await see(page.getByText('2 boxes brought in.')).toBeVisible();

  await paste('Species;Box;Leg span;Acquired\nBrachypelma hamori;Q1;70;3/4/2025\nbrachypelma hamorii;Q2;80;3/4/2025');
  await see(page.getByRole('heading', { name: 'How its days are written' })).toBeVisible();
  await page.getByRole('radio', { name: 'month first: 3/14/2026' }).click();
  await see(
    page.getByText(/“brachypelma hamorii” is written Brachypelma hamorii; no stage is told: taken as juvenile/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Bring 2 residents in' }).click();
  await see(page.getByText('2 residents brought in.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).first().click();
  await see(page.getByText('The list is taken back.')).toBeVisible();
});

it('those that are gone are found by what they were, and by their batch', async () => {
  await open('/residents');
  await page.getByRole('radio', { name: 'Gone' }).click();
  await see(page.getByRole('link', { name: /^Wick, Tliltocatl albopilosus, died/ })).toBeVisible();
  await page.getByLabel('Find by name, box or batch').fill('pulchra 23/2');
  await see(page.getByRole('link', { name: /Spindle/ })).toHaveCount(1);
});

it('a culture that may be crashing promises nothing, and is not followed head by head', async () => {
  await openResident('pebbles', /^Cubaris murina|^Pebbles/);
  await page.getByRole('tab', { name: 'Growth' }).click();
  await see(page.getByText('In a year, if it recovers')).toBeVisible();
  await see(page.getByText(/^Far fewer than were to be expected/)).toBeVisible();
  await see(page.getByRole('heading', { name: 'Heads' })).toHaveCount(0);
  await see(page.getByText(/nearly full|a week may go/)).toHaveCount(0);
});
