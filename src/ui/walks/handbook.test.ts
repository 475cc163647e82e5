import { address, idOf, onTheDemo, open, page, pick, see } from '../testing/walking';

onTheDemo();

it('a card is found by an old name with a slip, says what its numbers rest on, and leads to the calculator', async () => {
  await open('/settings');
  await page.getByRole('link', { name: 'Handbook' }).click();
  await page.getByLabel('Find by scientific or common name').fill('haploplema livid');
  await page.getByRole('link', { name: /^Cyriopagopus lividus/ }).click();
  await see(page.getByRole('heading', { level: 1, name: 'Cyriopagopus lividus' })).toBeVisible();
  await see(page.getByText('Also called Haplopelma lividum.')).toBeVisible();
  await see(page.getByRole('note', { name: 'Caution' })).toContainText('do not handle, do not work alone');
  const parts = await page.getByRole('heading', { level: 2 }).allTextContents();
  expect(parts.slice(0, 5)).toEqual(['Home', 'Soil', 'Air and water', 'Warmth', 'Food']);
  await open('/handbook/Caribena%20versicolor');
  await page.getByRole('button', { name: /^Humidity: 60 to 88 %. from memory/ }).click();
  await page.getByRole('button', { name: 'Air and water' }).click();
  expect(address()).toMatch(/\/homes\/.*\/air/);
});

it('dangers stand before every step that exposes somebody', async () => {
  const { id, homeId } = await idOf('Marquise');
  await open('/');
  await see(page.getByText(/serious venom, not alone/).first()).toBeVisible();
  const venom = /medically serious/;
  const paths = ['', '?tab=food', '/boxes', '/trouble', '/still', '/rest', '/move'].map(
    (part) => `/residents/${id}${part}`,
  );
  for (const path of [...paths, `/homes/${homeId}`]) {
    await open(path);
    await see(page.getByText(venom).first()).toBeVisible();
  }
  await open('/bulk');
  await pick('Shelf', 'Shelf B, upper');
  await see(page.getByText(venom).first()).toBeVisible();
  // And of a species that nobody knows, before it is taken in.
  await open('/take-in');
  await page.getByLabel('Scientific name').fill("Omothymus sp. 'north quay'");
  // Nor of its genus: then its keeper says what kind of animal it is.
  await see(page.getByText('Choose what kind of animal it is', { exact: false })).toBeVisible();
  await pick('Group', 'Spiders');
  await pick('Kind', 'Burrowing tarantula');
  await see(page.getByText('Nobody here knows this species.', { exact: false })).toBeVisible();
  await see(page.getByText(venom).first()).toBeVisible();
});

it('a species that nobody listed has the numbers of its genus, and that is said', async () => {
  await open('/handbook/Hierodula%20patellifera');
  await see(page.getByText(/others of the genus Hierodula are kept/)).toBeVisible();
  await see(page.getByText(/kept as .*mantis/)).toBeVisible();
});

it('the emergency card has the keepers’ own numbers, and refuses what is no number', async () => {
  await open('/handbook/emergency');
  await see(page.getByRole('button', { name: '01632 960 240' })).toBeVisible();
  await page.getByRole('button', { name: /^Write the numbers/ }).click();
  await page.getByLabel('Doctor: number').fill('ask around');
  await page.getByRole('button', { name: 'Keep the card' }).click();
  await see(page.getByText(/Must be a telephone number/).first()).toBeVisible();
  await page.getByLabel('Doctor: number').fill('01632 960 555');
  await page.getByRole('button', { name: 'Keep the card' }).click();
  await see(page.getByRole('button', { name: '01632 960 555' })).toBeVisible();
});

it('from a sign to causes; what was tried is asked after, and shown for the next of its kind', async () => {
  const one = await idOf('Bracken');
  await open(`/residents/${one.id}/trouble`);
  const sign = (title: RegExp, answer: string) =>
    page.getByRole('radiogroup', { name: title }).getByRole('radio', { name: answer, exact: true }).click();
  await sign(/^White, grey or moving things at its mouth/, 'yes');
  await see(page.getByText(/^Likeliest: mites, nematodes or maggots/)).toBeVisible();
  await see(page.getByText('Move nothing from this box to another.')).toBeVisible();
  await page.getByLabel('What you try').fill('Kept apart, tools of its own');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await see(page.getByText('Kept apart, tools of its own')).toBeVisible();
  const other = await idOf('Thimble');
  await open(`/residents/${other.id}/trouble`);
  await page
    .getByRole('radiogroup', { name: 'What came of it, Bracken' })
    .getByRole('radio', { name: 'it helped' })
    .click();
  await see(page.getByRole('radiogroup', { name: 'What came of it, Bracken' })).toHaveCount(0);
});

it('a school shows what it changes before it is chosen, and is left or kept', async () => {
  const { id } = await idOf('Vesper');
  await open(`/residents/${id}/care`);
  await page.getByRole('radio', { name: 'Mist to a number' }).click();
  await see(page.getByText(/to mist: \d+ times a year instead of 0/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await see(page.getByText('In force: large dish and strong side ventilation, no misting, the usual.')).toBeVisible();
  await page.getByRole('radio', { name: 'Mist to a number' }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await see(page.getByText('In force: mist to a number, chosen for Vesper.')).toBeVisible();
});

it('a school on openings changes what the build sheet cuts', async () => {
  const { id, homeId } = await idOf('Bramble');
  await open(`/residents/${id}/care`);
  await page.getByRole('radio', { name: 'One cut-out under mesh' }).click();
  await see(
    page.getByText(/a new box gets \d+ round openings? of \d+ mm .* instead of \d+ holes of 3 mm/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await see(page.getByText('In force: one cut-out under mesh, chosen for Bramble.')).toBeVisible();
  await open(`/build?homes=${homeId}`);
  await see(page.getByRole('checkbox', { name: /^B3: Cut \d+ round openings? of \d+ mm/ })).toBeVisible();
});

it('a helper answers cases of this house, and is told why', async () => {
  await open('/settings');
  await page.getByLabel('Who you are').fill('Odalys Fenn');
  await open('/handbook/trainer');
  await see(page.getByText(/^Case 1 of \d/)).toBeVisible();
  await page.getByRole('group', { name: 'What do you do?' }).getByRole('button').first().click();
  await see(page.getByText(/^(So it is\.|Rather: )/)).toBeVisible();
  await page.getByRole('button', { name: 'Next case' }).click();
  await see(page.getByText(/^Case 2 of \d/)).toBeVisible();
  await see(page.getByText('Odalys Fenn', { exact: true })).toBeVisible();
});

it('papers that end come up on the walk until they are written down anew', async () => {
  const { id } = await idOf('Marquise');
  await open('/');
  await see(page.getByText('Renew its papers: CITES paper')).toBeVisible();
  await open(`/residents/${id}/papers`);
  await pick('What they are', 'CITES paper');
  await page.getByRole('button', { name: /^Last day on which they hold/ }).click();
  for (let month = 0; month < 4; month += 1) await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: '14', exact: true }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await see(page.getByText(/holds until 14 /)).toBeVisible();
  await open('/');
  await see(page.getByRole('heading', { level: 2, name: /^Leave alone/ })).toBeVisible();
  await see(page.getByText('Renew its papers: CITES paper')).toHaveCount(0);
});

it('a card of one’s own is kept, found by its other name, and taken out', async () => {
  await open('/handbook/own/new');
  await page.getByLabel('Scientific name').fill('hemisotis northi');
  await page.getByRole('button', { name: 'Write Hemisotis northi' }).click();
  await page.getByLabel('Other names that lead here').fill('Caribena versicolor');
  await see(page.getByRole('button', { name: 'Choose the kind first' })).toBeDisabled();
  await pick('Group', 'Spiders');
  await page.getByRole('radio', { name: 'Tree tarantula' }).click();
  await page.getByRole('button', { name: 'Keep this card' }).click();
  await see(page.getByText(/has a card of its own/).first()).toBeVisible();
  await page.getByLabel('Other names that lead here').fill('Hemisotis borealis');
  await page.getByLabel('Soil', { exact: true }).fill('Loam from the quay.');
  await page.getByRole('button', { name: 'Keep this card' }).click();
  await see(page.getByText('Loam from the quay.')).toBeVisible();
  await open('/handbook');
  await page.getByLabel('Find by scientific or common name').fill('borealis');
  await page.getByRole('link', { name: /^Hemisotis northi/ }).click();
  await page.getByRole('button', { name: 'Change your card' }).click();
  await page.getByRole('button', { name: 'Take this card out' }).click();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await see(page.getByText('Your card of Hemisotis northi is taken out.')).toBeVisible();
});
