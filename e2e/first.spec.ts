import { control } from '../src/server/testing/standingServer';
import { expect, testOfNothing as test, type Locator } from './house';

/** Taps of a thumb, and fields it typed into, from the empty house to the first animal in its box. */
const MOST_TAPS = 40;

test('the first hour of an empty house: shelves, a box, an animal in it, its work, and nothing that is not there', async ({
  page,
  house,
}) => {
  let taps = 0;
  const tap = async (what: Locator) => {
    taps += 1;
    await what.click();
  };
  const type = async (label: string, text: string) => {
    taps += 1;
    await page.getByLabel(label).fill(text);
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name });

  await test.step('every place says that it is empty, and what to begin with', async () => {
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'First steps' })).toBeVisible();
    for (const [place, words] of [
      ['Residents', 'Nobody yet.'],
      ['Wall', 'Add a box'],
      ['Store', /counted|Nothing/],
    ] as const) {
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click();
      await expect(page.getByText(words).first()).toBeVisible();
    }
  });

  const begun = Date.now();
  await test.step('shelves and a box of a usual size are put up', async () => {
    await page.goto('/');
    await tap(button('Put up shelves'));
    await type('Room', 'Kitchen');
    await type('Its shelves, from above', 'Window, Board');
    await tap(button('Put up these shelves'));
    await expect(page.getByText('2 shelves put up in Kitchen.')).toBeVisible();
    await tap(button('Add a box').last());
    await expect(page.getByLabel('Code on the shelf')).toHaveValue('A1');
    await tap(button(/^Size: /));
    await tap(page.getByRole('radio', { name: 'Flat box, 170 x 130 x 100 mm' }));
    await type('Soil in it now, mm', '50');
    await tap(button('Add this box'));
    await expect(page.getByText('A1 added.')).toBeVisible();
  });

  await test.step('the first animal moves in, and has its peace on the first evening', async () => {
    await tap(button('Take an animal in here'));
    await type('Scientific name', 'grammostola pul');
    await tap(button('Fill in Grammostola pulchra'));
    await type('Leg span, mm', '45');
    await tap(button(/^Take in to A1/));
    await expect(page.getByText(/taken in to A1/)).toBeVisible();
    expect(taps).toBeLessThanOrEqual(MOST_TAPS);
    test
      .info()
      .annotations.push({ type: 'first animal', description: `${taps} taps, ${Date.now() - begun} ms by a script` });
    await page.goto('/round');
    await expect(page.getByText('Nothing is due here today.')).toBeVisible();
    await tap(button('See what comes next'));
    await expect(page.getByText(/Grammostola pulchra/).first()).toBeVisible();
  });

  await test.step('a week later it stands on the round', async () => {
    await control(house.address, 'clock', { days: 7 });
    await page.goto('/round');
    await expect(page.getByText(/A1.*Grammostola pulchra/).first()).toBeVisible();
  });
});

test('an example house is looked into, and thrown away', async ({ page }) => {
  await page.goto('/round');
  await page.getByRole('button', { name: 'Look into an example house' }).click();
  await expect(page.getByText('An example house, to look around and to try things in.')).toBeVisible();
  await page.getByRole('button', { name: 'Throw it away and begin my own' }).click();
  await page.getByRole('button', { name: 'Throw it away', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'First steps' })).toBeVisible();
});

test('an animal is taken in with the keyboard alone', async ({ page, request, baseURL }) => {
  const write = async (where: string, data: object) => {
    const reply = await request.post(`${baseURL}/api/${where}`, { data });
    expect(await reply.json()).not.toHaveProperty('error');
    return (await reply.json()) as Record<string, { id: string }>;
  };
  const { shelf } = await write('shelves', { room: 'Kitchen', name: 'Window' });
  await write('homes', {
    ...{ code: 'A1', shelfId: shelf?.id, substrateDepthMm: 60 },
    container: { shape: 'box', lengthMm: 200, widthMm: 150, heightMm: 150, lid: 'vented', vents: [] },
  });
  /** On with the Tab key until what has the focus is called so. */
  const tabTo = async (name: RegExp) => {
    for (let press = 0; press < 80; press += 1) {
      await page.keyboard.press('Tab');
      const focused = await page.evaluate(() => {
        const { activeElement } = document;
        return activeElement?.getAttribute('aria-label') ?? activeElement?.textContent ?? '';
      });
      if (name.test(focused)) return;
    }
    throw new Error(`The Tab key never came to ${name}.`);
  };
  await page.goto('/residents');
  await expect(page.getByText('Nobody yet.')).toBeVisible();
  await tabTo(/^Take an animal in/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Take in', exact: true })).toBeVisible();
  await tabTo(/^Scientific name$/);
  await page.keyboard.type('Grammostola pulchra');
  await tabTo(/^Leg span, mm$/);
  await page.keyboard.type('45');
  await tabTo(/^A1/);
  await page.keyboard.press('Space');
  await tabTo(/^Take in to A1/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/taken in to A1/)).toBeVisible();
});
