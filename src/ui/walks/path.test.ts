import { asks, onTheDemo, open, page, reload, see } from '../testing/walking';

onTheDemo();

it('one tap logs, undo takes it back', async () => {
  await open('/');
  const soil = page.getByRole('checkbox', { name: 'B3: Raise the soil to 119 mm' });
  await soil.click();
  await see(page.getByText('B3: soil set.')).toBeVisible();
  await see(soil).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await see(page.getByText('Taken back.')).toBeVisible();
  await see(soil).toBeVisible();

  await page.getByRole('button', { name: 'Still there, taken out' }).first().click();
  await see(page.getByText('B4: taken out, not eaten.')).toBeVisible();
  const leftovers = page.getByRole('checkbox', { name: 'B4: nothing left, eaten' });
  await see(leftovers).toBeChecked();
  await leftovers.click();
  await see(leftovers).not.toBeChecked();
});

it('what cannot wait comes first, then shelves in the order of the walk, and those to be left alone apart', async () => {
  await open('/');
  await see(page.getByRole('heading', { level: 2, name: /^Leave alone: \d/ })).toBeVisible();
  const headings = await page.getByRole('heading', { level: 2 }).allTextContents();
  // A shelf whose work is lighter on another day has none today: which those are, the day says.
  const inOrder = ['Shelf A', 'Shelf B, upper', 'Shelf B, lower', 'Shelf C', 'Shelf D, leaves', 'Shelf E, cultures'];
  const shelves = [...inOrder, 'Ant bench', 'North Store, low'].filter((name) => headings.includes(name));
  expect(shelves.length).toBeGreaterThan(2);
  expect(headings.slice(0, -1)).toEqual(['Cannot wait', ...shelves, 'Lighter another day']);
  await see(page.getByText(/B5.*Grammostola pulchra.*dull.*since/)).toBeVisible();
  await see(page.getByText(/B6.*Poecilotheria regalis.*hardening, food from/)).toBeVisible();
});

it('a home is drawn, tried at another depth, and set', async () => {
  await open('/homes');
  await page.getByRole('link', { name: /^B3/ }).click();
  const drawing = page.getByRole('img', { name: /Section through B3/ });
  await see(drawing).toHaveAccessibleName(/failing: Too far to fall/);
  await page.getByRole('tab', { name: 'Rules' }).click();
  await page.getByRole('button', { name: /Does not fit: Too far to fall 198 \/ 177 mm/ }).click();
  await see(page.getByText('Rests on: common practice. Rule: gap.')).toBeVisible();
  await page.getByRole('tab', { name: 'Box' }).click();

  await page.getByLabel('Soil depth, mm').fill('260');
  await see(drawing).toHaveAccessibleName(/soil 260 mm deep.*failing: No room to stand and moult/);
  await page.getByLabel('Soil depth, mm').fill('130');
  await see(drawing).not.toHaveAccessibleName(/failing/);
  await page.getByRole('button', { name: 'Set depth to 130 mm' }).click();
  await see(page.getByText('B3: soil set to 130 mm.')).toBeVisible();
  await reload();
  await see(drawing).toHaveAccessibleName(/soil 130 mm deep/);
});

it('an outgrown animal moves to the best free box', async () => {
  await open('/residents');
  await page.getByRole('link', { name: /^Cinder/ }).click();
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  const boxes = page.getByRole('radiogroup', { name: 'Boxes, best first' }).getByRole('radio');
  // The best by its size stands in the North Store, half a degree too cold.
  await see(boxes.first()).toHaveAccessibleName(/^N3, Watch: Too cold there: 19.5 C/);
  await see(boxes.filter({ hasText: 'Eggs of' })).toHaveCount(0);
  await boxes.first().click();
  await page.getByRole('button', { name: 'Move to N3', exact: true }).click();
  // Chosen by hand or planned: its sheet comes first.
  await see(page.getByRole('heading', { name: 'If it gets out' })).toBeVisible();
  const into = page.getByRole('button', { name: 'It is in N3' });
  // At once is allowed: what was left out is asked first.
  await into.click();
  await see(page.getByText(/^Not ticked: \d+ steps$/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  const steps = page.getByRole('checkbox');
  for (let index = 0; index < (await steps.count()); index += 1) await steps.nth(index).click();
  await into.click();
  await see(page.getByText('Cinder lives in N3 now.')).toBeVisible();
  await open('/homes');
  await see(page.getByRole('link', { name: 'A2, free', exact: true })).toBeVisible();
});

it('a box is added, and a code that is taken refused at its field', async () => {
  await open('/homes/new');
  const fill = async (fields: Record<string, string>) => {
    for (const [label, text] of Object.entries(fields)) await page.getByLabel(label).fill(text);
  };
  await fill({
    'Code on the shelf': 'b3',
    'Length inside, mm': '30 cm',
    'Width inside, mm': '200',
    'Height inside, mm': '5 kg',
  });
  await page.getByRole('button', { name: 'Add this box' }).click();
  await see(page.getByText('Say what lets the air in.')).toBeVisible();
  await page.getByRole('radio', { name: 'Drilled holes' }).click();
  await fill({ 'How many in each side': '4', 'Their middle over the floor': '160' });
  await page.getByRole('button', { name: 'Add this box' }).click();
  await see(page.getByText(/“kg” is not a length unit here/)).toBeVisible();
  await fill({ 'Height inside, mm': '180' });
  await see(page.getByRole('img', { name: /300 mm wide and 180 mm high/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add this box' }).click();
  await see(page.getByText('Taken: every box has a code of its own.').first()).toBeVisible();
  await fill({ 'Code on the shelf': 'X1' });
  await page.getByRole('button', { name: 'Add this box' }).click();
  await see(page.getByText('X1 added.')).toBeVisible();
  await see(page.getByRole('heading', { name: 'X1, free' })).toBeVisible();

  await page.getByRole('button', { name: 'More like it' }).click();
  await page.getByLabel('How many').fill('3');
  await see(page.getByText('Up to X4; codes that are taken are passed over.')).toBeVisible();
  await page.getByRole('button', { name: 'Add 3 boxes' }).click();
  await see(page.getByText('3 boxes added: X2, X3, X4.')).toBeVisible();
  await page.getByRole('link', { name: 'X4, free', exact: true }).click();
  await page.getByRole('button', { name: 'Take the box away' }).click();
  await page.getByRole('button', { name: 'Take it away', exact: true }).click();
  await see(page.getByText('X4 is taken away.')).toBeVisible();
});

it('the shelves of a room are put up at once', async () => {
  await open('/homes/shelves');
  await page.getByLabel('Room').fill('Cellar');
  await page.getByLabel('Its shelves, from above').fill('Top, Floor');
  await page.getByRole('button', { name: 'Put up these shelves' }).click();
  await see(page.getByText('2 shelves put up in Cellar.')).toBeVisible();
  await page.getByLabel('Its shelves, from above').fill('Floor');
  await page.getByRole('button', { name: 'Put up these shelves' }).click();
  await see(page.getByText('Taken in this room: give it another name.').first()).toBeVisible();
});

it('moves are worked out, settled, drawn within their window, and made step by step', async () => {
  await open('/seasons?part=moves');
  await page.getByRole('button', { name: 'Work the moves out' }).click();
  await see(page.getByText(/moves?, (and no plan is better|within|at most)/)).toBeVisible();
  await page.getByRole('button', { name: 'Settle these moves' }).click();
  const day = page.getByRole('slider', { name: /D3 to .*day of the move/ });
  await see(day).toBeVisible();
  // Its box serves still: a day later does as well.
  await day.press('ArrowRight');
  await see(page.getByRole('button', { name: /^Keep \d+ / })).toBeVisible();
  await page.getByRole('button', { name: /^Keep \d+ / }).click();
  await see(page.getByText(/^D3 to .*: \d+ \w+( \d{4})?\.$/)).toBeVisible();
  await open('/');
  const steps = page.getByRole('button', { name: 'Steps' });
  await steps.first().click();
  await see(page.getByRole('heading', { name: 'If it gets out' })).toBeVisible();
  const into = page.getByRole('button', { name: /^It is in/ });
  await page.getByRole('checkbox').first().click();
  await into.click();
  await page.getByRole('button', { name: 'Moved without them' }).click();
  await see(page.getByText(/lives in .* now\.$/)).toBeVisible();
  await page.getByRole('tab', { name: 'Log' }).click();
  await see(page.getByText(/Moved to .* without: /).first()).toBeVisible();
});

it('an absence is planned; its sheet says what to do; the sitter sees that and nothing else', async () => {
  await open('/seasons?part=away');
  await page
    .getByRole('link', { name: /^Open the sheet/ })
    .last()
    .click();
  await see(page.getByRole('heading', { name: 'Never open' })).toBeVisible();
  await page.getByRole('button', { name: 'A page for the sitter' }).click();
  const address = await page.getByText(/\/sitter\//).textContent();
  await open(address ?? '');
  await see(page.getByRole('heading', { name: 'Never open' })).toBeVisible();
  await see(page.getByRole('navigation')).toHaveCount(0);
  expect((await asks(`/api/sitter/${'x'.repeat(32)}`)).status).toBe(404);
});
