import { onTheDemo, open, page, pick, reload, savedFile, see } from '../testing/walking';

onTheDemo();

const openHome = async (code: RegExp, room = 'Boiler Room') => {
  await open('/homes');
  await page.getByRole('radio', { name: room }).click();
  await page.getByRole('link', { name: code }).click();
};

it('a slope is tried and set, and drawn when the page is opened anew', async () => {
  await openHome(/^B7/);
  await page.getByRole('radio', { name: 'sloped' }).click();
  const ends = page.getByLabel(/Damp end, dry end/);
  await ends.fill('90');
  await see(page.getByText('Write 2 depths with a semicolon between them.')).toBeVisible();
  await ends.fill('90; 60');
  await page.getByRole('button', { name: 'Set depth to 75 mm' }).click();
  await see(page.getByText('B7: soil set to 75 mm.')).toBeVisible();
  await openHome(/^B7/);
  await see(page.getByRole('radio', { name: 'sloped' })).toBeChecked();
  await see(page.getByLabel(/Damp end, dry end/)).toHaveValue('90; 60');
});

it('two boxes stand side by side, rule beside rule', async () => {
  await open('/residents');
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await page.getByRole('tab', { name: 'Growth' }).click();
  await page.getByRole('button', { name: 'Compare boxes' }).click();
  await see(page.getByRole('img', { name: /Section through B3/ })).toBeVisible();
  await see(page.getByRole('img', { name: /Section through B9/ })).toBeVisible();
  await see(page.getByText('198 / 177 mm')).toBeVisible();
  await pick('Compare with', 'B11');
  await see(page.getByRole('img', { name: /Section through B11/ })).toBeVisible();
});

it('a build sheet is ticked, kept, and written down', async () => {
  await openHome(/^A5/);
  await page.getByRole('button', { name: 'Build sheet' }).click();
  const drill = page.getByRole('checkbox', { name: /^A5: Drill \d+ holes of 3 mm in the left side/ });
  await drill.click();
  await see(drill).toBeChecked();
  await reload();
  await see(drill).toBeChecked();
  await page.getByRole('button', { name: 'Write down A5 as built' }).click();
  await see(page.getByText('A5: built and written down.')).toBeVisible();
  // Holes in facing walls: the air that stood still now moves.
  await see(page.getByText(/No openings that face each other/)).toHaveCount(0);
  await see(page.getByText(/Put right/)).toHaveCount(0);
});

it('several homes are built from one heap', async () => {
  await open('/build');
  await page.getByRole('checkbox', { name: 'Homes: B3' }).click();
  await see(page.getByRole('heading', { name: 'B3, for Bramble' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Homes: B5', exact: true }).click();
  await see(page.getByRole('heading', { name: 'All together' })).toBeVisible();
  await see(page.getByText(/bricks? of coir, .* to soak/).first()).toBeVisible();
});

it('a profile is copied, changed, assigned, and saved as a file that comes back', async () => {
  await open('/profiles/ground-tarantula');
  await page.getByRole('button', { name: 'Copy and change' }).click();
  const gap = page.getByLabel('A fall does no harm: at most, times leg span');
  await see(gap).toHaveValue('1.5');
  await gap.fill('wide');
  await page.getByRole('button', { name: 'Put in force' }).click();
  await see(page.getByText('A number, for example 1.5.')).toBeVisible();
  await gap.fill('2');
  await page.getByLabel('Name', { exact: true }).fill('Ground tarantula, bold');
  await page.getByRole('button', { name: 'Put in force' }).click();
  await see(page.getByText('Ground tarantula, bold: the new numbers are in force.')).toBeVisible();

  await page.getByRole('button', { name: 'Save as a file' }).click();
  const { text } = await savedFile();

  await open('/residents');
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await page.getByRole('tab', { name: 'Care' }).click();
  await page.getByRole('link', { name: 'Kept as ground tarantula' }).click();
  await page.getByRole('link', { name: /^Ground tarantula, bold, / }).click();
  await see(page.getByText('Bramble: kept as Ground tarantula, bold.')).toBeVisible();
  await openHome(/^B3/);
  await see(page.getByRole('img', { name: /Section through B3/ })).not.toHaveAccessibleName(/failing/);

  await open('/profiles');
  const input = page.getByLabel('Profile to import');
  const broken = JSON.parse(text);
  broken.fit[0].min.of = 'tail';
  await input.setInputFiles(new File([JSON.stringify(broken)], 'x.json', { type: 'application/json' }));
  await see(page.getByText(/One field needs another value/)).toBeVisible();
  await input.setInputFiles(new File([text], 'y.json', { type: 'application/json' }));
  await see(page.getByText('Ground tarantula, bold is in force.')).toBeVisible();
});

it('a box is changed, with a photo of it', async () => {
  await openHome(/^N2/, 'North Store');
  await page.getByRole('button', { name: 'Change the box' }).click();
  const png = new File(['x'], 'a.png', { type: 'image/png' });
  await page.getByLabel('Photo of the box').setInputFiles(png);
  await see(page.getByText('N2: photo kept.')).toBeVisible();
  await page.getByLabel('Photo of the box').setInputFiles(new File(['x'], 'a.txt', { type: 'text/plain' }));
  await see(page.getByText(/no picture this browser can read/)).toBeVisible();
  await pick('Walls', 'glass, silicone corners');
  await page.getByLabel('Weight the box bears, kg').fill('3,5');
  await page.getByRole('switch', { name: 'Kept apart from the others' }).click();
  await page.getByLabel('Their middle over the floor').fill('99');
  await page.getByRole('button', { name: 'Save the box' }).click();
  await see(page.getByText(/or it leaves the wall/).first()).toBeVisible();
  await page.getByLabel('Their middle over the floor').fill('80');
  await page.getByRole('button', { name: 'Save the box' }).click();
  await see(page.getByText('N2 changed.')).toBeVisible();
  await see(page.getByText(/In quarantine since/)).toBeVisible();
  await see(page.getByRole('img', { name: 'Photo of N2' })).toBeVisible();
});

it('a group is taken in by number, and joins those it may join', async () => {
  await open('/take-in');
  await page.getByLabel('Scientific name').fill('porcellio');
  await page.getByRole('button', { name: 'Fill in Porcellio laevis' }).click();
  await see(page.getByRole('radio', { name: 'Temperate isopods' })).toBeChecked();
  await page.getByLabel('How many').fill('12');
  await page.getByRole('radio', { name: /^E1, / }).click();
  await page.getByRole('button', { name: /^Take in to E1/ }).click();
  await see(page.getByText('Porcellio laevis taken in to E1.')).toBeVisible();
  await see(page.getByRole('link', { name: 'Record of Swifts' })).toBeVisible();
});

it('whoever has no box for a newcomer gets one of a usual size, that serves for more than a moult', async () => {
  await open('/take-in');
  await page.getByLabel('Scientific name').fill('Brachypelma hamorii');
  await page.getByLabel('Leg span, mm').fill('45');
  await page.getByRole('button', { name: 'A new box' }).click();
  const sizes = page.getByRole('radiogroup', { name: 'Usual sizes, best first' }).getByRole('radio');
  await see(sizes.first()).toHaveAccessibleName(/^Flat box, 170 x 130 x 100 mm inside, Fits/);
  await see(sizes.first().getByText('fits for two moults and more')).toBeVisible();
  await sizes.first().click();
  await page.getByRole('button', { name: /^Add it as [A-Z]\d+ and take in$/ }).click();
  await see(page.getByText(/^Brachypelma hamorii taken in to [A-Z]\d+\.$/)).toBeVisible();
  await see(page.getByText('170 x 130 x 100 mm inside')).toBeVisible();
});

it('so does whoever moves one, or takes some out of a culture', async () => {
  const sizes = page.getByRole('radiogroup', { name: 'Usual sizes, best first' }).getByRole('radio');
  await open('/residents');
  await page.getByRole('link', { name: /^Cinder/ }).click();
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await page.getByRole('button', { name: 'A new box' }).click();
  await see(sizes.first()).toHaveAccessibleName(/Fits/);
  await sizes.first().click();
  // It stands where the animal stood, and the sheet of the move comes first.
  await page.getByRole('button', { name: /^Add it as A\d+, and on to the move$/ }).click();
  await see(page.getByRole('heading', { name: 'If it gets out' })).toBeVisible();
  await see(page.getByRole('button', { name: /^It is in A\d+$/ })).toBeVisible();

  await open('/residents');
  await page.getByRole('link', { name: /^Swifts/ }).click();
  await page.getByRole('button', { name: 'New entry' }).last().click();
  await pick('What to write down', 'Take some out');
  await page.getByLabel('How many to take out').fill('40');
  await page.getByRole('button', { name: 'A new box' }).click();
  await see(sizes.first()).toHaveAccessibleName(/Fits/);
  await sizes.first().click();
  await page.getByRole('button', { name: /^Add it as E\d+ and move them$/ }).click();
  await see(page.getByText(/^40 moved to E\d+\.$/)).toBeVisible();
});

it('a snail is asked for neither a moult nor an instar, a young spider for both', async () => {
  await open('/take-in');
  await page.getByLabel('Scientific name').fill('Brachypelma hamorii');
  await see(page.getByLabel('Instar, if you know it')).toBeVisible();
  await see(page.getByText('Last moult')).toBeVisible();
  await page.getByLabel('Scientific name').fill('Cornu aspersum');
  await see(page.getByText('Hatched on')).toBeVisible();
  await see(page.getByLabel('Instar, if you know it')).toHaveCount(0);
  await see(page.getByText('Last moult')).toHaveCount(0);
  await see(page.getByText('A sign that it will moult')).toHaveCount(0);
});

it('the store says which boxes are needed, and keeps own numbers for a material', async () => {
  await open('/store');
  await page.getByRole('radio', { name: 'Boxes and soil' }).click();
  await see(page.getByRole('link', { name: 'Cinder can move to N3' })).toBeVisible();
  await page.getByRole('radio', { name: 'after two moults' }).click();
  await see(page.getByRole('link', { name: 'Widow Orme can move to B11' })).toBeVisible();
  await page.getByRole('link', { name: 'Coir', exact: true }).click();
  await page.getByLabel('Water a litre holds without dripping, mL').fill('5000');
  await page.getByRole('button', { name: 'Keep these numbers' }).click();
  await see(page.getByText('A number from 0 to 1000.')).toBeVisible();
  await page.getByLabel('Water a litre holds without dripping, mL').fill('500');
  await page.getByRole('button', { name: 'Keep these numbers' }).click();
  await see(page.getByRole('link', { name: 'Coir, your own numbers' })).toBeVisible();
});

it('what a rule finds is kept so on purpose, with the reason, and asked again', async () => {
  await openHome(/^B3/);
  await page.getByRole('tab', { name: 'Rules' }).click();
  await page.getByRole('button', { name: /198 \/ 177 mm\. Grounds/ }).click();
  await page.getByRole('button', { name: 'I keep it so' }).click();
  await page.getByRole('button', { name: 'Settle it for this box' }).click();
  await see(page.getByText('Write why you keep it so.')).toBeVisible();
  await page.getByLabel('Why you keep it so').fill('It climbs with care; cork stands under the lid.');
  await page.getByRole('button', { name: 'Settle it for this box' }).click();
  await see(page.getByText(/kept so\. The round is silent about it/)).toBeVisible();
  await see(page.getByText('kept so: It climbs with care; cork stands under the lid.')).toBeVisible();
  await page.getByRole('button', { name: 'Ask it again' }).click();
  await see(page.getByText('kept so: It climbs with care; cork stands under the lid.')).toHaveCount(0);
});
