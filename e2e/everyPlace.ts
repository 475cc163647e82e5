import type { Page } from '@playwright/test';
import { expect, openBox, openResident, pick } from './house';

/** A board of the seasons, once a row of it is there. */
async function seasons(page: Page, part: string, row: RegExp): Promise<void> {
  await page.goto(`/seasons?part=${part}`);
  await expect(page.getByRole('link', { name: row })).toBeVisible();
}

/** Every place, and how to get to what has no address of its own. */
export const PLACES: { name: string; open: (page: Page) => Promise<void> }[] = [
  { name: 'the round', open: async (page) => void (await page.goto('/round')) },
  { name: 'the residents', open: async (page) => void (await page.goto('/residents')) },
  {
    name: 'one resident',
    open: async (page) => {
      await openResident(page, 'Widow Orme');
      await page.getByRole('button', { name: 'It moulted' }).click();
    },
  },
  {
    name: 'a group',
    open: async (page) => {
      await page.goto('/residents');
      await page.getByLabel('Find by name, box or batch').fill('hedge');
      await page.getByRole('link', { name: /^The hedge/ }).click();
      await page.getByRole('tab', { name: 'Growth' }).click();
      await expect(page.getByRole('img', { name: /^Survival/ })).toBeVisible();
      await page.getByRole('button', { name: 'Where it comes from' }).click();
    },
  },
  {
    name: 'dead or moulting',
    open: async (page) => {
      await openResident(page, 'Widow Orme');
      await page.getByRole('tab', { name: 'Growth' }).click();
      // The forecast comes in above it, and moves it down.
      await expect(page.getByRole('img', { name: /^Moults/ })).toBeVisible();
      await page.getByRole('button', { name: 'Dead or moulting?' }).click();
      await expect(page.getByText(/^What do you see/)).toBeVisible();
    },
  },
  {
    name: 'many at once',
    open: async (page) => {
      await page.goto('/bulk');
      await pick(page, 'Shelf', 'Shelf B, upper');
    },
  },
  {
    name: 'who may come in',
    open: async (page) => {
      await page.goto('/people');
      await expect(page.getByRole('button', { name: 'Become its keeper' })).toBeVisible();
    },
  },
  {
    name: 'the log of the door',
    open: async (page) => {
      await page.goto('/people/log');
      await expect(page.getByRole('heading', { name: 'Who came in' })).toBeVisible();
    },
  },
  { name: 'the labels', open: async (page) => void (await page.goto('/labels')) },
  { name: 'what is printed', open: async (page) => void (await page.goto('/paper')) },
  { name: 'a life from another house', open: async (page) => void (await page.goto('/life')) },
  { name: 'the label printer', open: async (page) => void (await page.goto('/labels/printer')) },
  { name: 'the scanner', open: async (page) => void (await page.goto('/scan')) },
  { name: 'the homes', open: async (page) => void (await page.goto('/homes')) },
  {
    name: 'one home',
    open: async (page) => {
      await openBox(page, /^B3/);
      await page.getByRole('img', { name: /^Section through B3/ }).waitFor();
    },
  },
  {
    name: 'the rules of a home',
    open: async (page) => {
      await openBox(page, /^B3/);
      await page.getByRole('tab', { name: 'Rules' }).click();
      await page.getByRole('button', { name: /Too far to fall/ }).click();
    },
  },
  {
    name: 'a list to choose from',
    open: async (page) => {
      await openResident(page, 'Bramble');
      await page.getByRole('button', { name: 'New entry' }).click();
      await page.getByRole('button', { name: /^What to write down/ }).click();
      await expect(page.getByRole('dialog').getByRole('radio').first()).toBeVisible();
    },
  },
  {
    name: 'a chart as a table',
    open: async (page) => {
      await openResident(page, 'Bramble');
      await page.getByRole('tab', { name: 'Food' }).click();
      await page.getByRole('button', { name: /^As a table: Meals/ }).click();
    },
  },
  {
    name: 'a room',
    open: async (page) => {
      await page.goto('/probes');
      await page.getByRole('link', { name: 'Cellar' }).click();
      await expect(page.getByRole('heading', { name: /^The air of Cellar/ })).toBeVisible();
    },
  },
  {
    name: 'a keeper',
    open: async (page) => {
      await page.goto('/keepers');
      await page.getByRole('link', { name: 'Imre Talsk' }).click();
      await expect(page.getByText('Calendar', { exact: true })).toBeVisible();
    },
  },
  {
    name: 'the boxes for one animal',
    open: async (page) => {
      await openResident(page, 'Cinder');
      await page.getByRole('button', { name: 'Move', exact: true }).click();
    },
  },
  { name: 'adding a box', open: async (page) => void (await page.goto('/homes/new')) },
  {
    name: 'taking in',
    open: async (page) => {
      await page.goto('/take-in');
      await page.getByRole('button', { name: 'Fill in Poecilotheria regalis' }).click();
      await page.getByLabel('Leg span, mm').fill('60');
    },
  },
  { name: 'the settings', open: async (page) => void (await page.goto('/settings')) },
  { name: 'the handbook', open: async (page) => void (await page.goto('/handbook')) },
  {
    name: 'a care card',
    open: async (page) => {
      await page.goto('/handbook/Poecilotheria%20regalis');
      await page.getByRole('button', { name: /^Humidity/ }).click();
    },
  },
  { name: 'an own card', open: async (page) => void (await page.goto('/handbook/own/new')) },
  {
    name: 'the emergency card',
    open: async (page) => {
      await page.goto('/handbook/emergency');
      await page.getByRole('button', { name: /^Write the numbers/ }).click();
    },
  },
  {
    name: 'the schools',
    open: async (page) => {
      await page.goto('/handbook/schools');
      await pick(page, 'For whom', 'Ground tarantula');
      await page.getByRole('radio', { name: 'Large and rarely' }).click();
      await expect(page.getByText(/less work a year/)).toBeVisible();
    },
  },
  {
    name: 'the trainer',
    open: async (page) => {
      await page.goto('/handbook/trainer');
      await page.getByRole('group', { name: 'What do you do?' }).getByRole('button').first().click();
    },
  },
  {
    name: 'what rests on what',
    open: async (page) => {
      await page.goto('/handbook/ground');
      await page.getByRole('button', { name: /^1\. Coir/ }).click();
      await expect(page.getByText(/^At 450, and at 800/)).toBeVisible();
    },
  },
  {
    name: 'something wrong',
    open: async (page) => {
      await openResident(page, 'Old Tarry');
      await page.getByRole('tab', { name: 'Care' }).click();
      await page.getByRole('link', { name: 'Something wrong' }).click();
      await page.getByRole('radio', { name: 'yes', exact: true }).first().click();
      await page.getByRole('button', { name: 'How that came about' }).click();
    },
  },
  {
    name: 'papers',
    open: async (page) => {
      await openResident(page, 'Marquise');
      await page.getByRole('tab', { name: 'Care' }).click();
      await page.getByRole('link', { name: 'Papers' }).click();
    },
  },
  {
    name: 'a nest from above',
    open: async (page) => {
      await openBox(page, /^F1/);
      await page.getByRole('radio', { name: 'from above' }).click();
    },
  },
  {
    name: 'changing a box',
    open: async (page) => {
      await openBox(page, /^C5/);
      await page.getByRole('button', { name: 'Change the box' }).click();
    },
  },
  {
    name: 'two boxes compared',
    open: async (page) => {
      await openResident(page, 'Bramble');
      await page.getByRole('tab', { name: 'Growth' }).click();
      await page.getByRole('button', { name: 'Compare boxes' }).click();
    },
  },
  {
    name: 'a build sheet',
    open: async (page) => {
      await openBox(page, /^E1/);
      await page.getByRole('button', { name: 'Build sheet' }).click();
      await expect(page.getByText(/Mix .* coir/)).toBeVisible();
    },
  },
  {
    name: 'air and water',
    open: async (page) => {
      await openBox(page, /^C2/);
      await page.getByRole('tab', { name: 'Air' }).click();
      await expect(page.getByRole('img', { name: /^Humidity over/ })).toBeVisible();
      for (const part of [/each opening/, /Holes for the band/, /other school/, /Set right/, /leaves out/]) {
        await page.getByRole('button', { name: part }).click();
      }
      await expect(page.getByRole('img', { name: /^Trade-off/ })).toBeVisible();
    },
  },
  {
    name: 'readings',
    open: async (page) => {
      await openBox(page, /^B4/);
      await page.getByRole('tab', { name: 'Readings' }).click();
      await page.getByRole('button', { name: 'Course of B4 air' }).click();
      await expect(page.getByRole('img', { name: /^Temperature/ })).toBeVisible();
      await page.getByRole('button', { name: 'Another probe' }).click();
    },
  },
  {
    name: 'rooms and probes',
    open: async (page) => {
      await page.goto('/probes');
      await expect(page.getByRole('link', { name: 'Boiler Room' })).toBeVisible();
    },
  },
  { name: 'the store', open: async (page) => void (await page.goto('/store')) },
  {
    name: 'how one is fed',
    open: async (page) => {
      await openResident(page, 'Bramble');
      await page.getByRole('tab', { name: 'Food' }).click();
      await expect(page.getByRole('img', { name: /^Meals a week/ })).toBeVisible();
      await page.getByRole('button', { name: 'What this rests on' }).last().click();
      await page.getByRole('button', { name: 'Never given' }).click();
    },
  },
  {
    name: 'a feeder in the store',
    open: async (page) => {
      await page.goto('/store/items/dubia-roach-small');
      await expect(page.getByRole('img', { name: /^Needed week by week/ })).toBeVisible();
    },
  },
  {
    name: 'the orders',
    open: async (page) => {
      await page.goto('/store/orders');
      await page.getByRole('button', { name: 'Price list' }).click();
    },
  },
  {
    name: 'boxes and soil in the store',
    open: async (page) => {
      await page.goto('/store?part=boxes');
      await expect(page.getByText(/can move to|would fit|fits nobody/).first()).toBeAttached();
    },
  },
  {
    name: 'the year ahead',
    open: async (page) => {
      await page.goto('/seasons');
      await expect(page.getByRole('link', { name: /, likeliest / }).first()).toBeVisible();
      await page.getByRole('radio', { name: 'All, and work' }).click();
      await expect(page.getByRole('img', { name: /^The next twelve months/ }).first()).toBeVisible();
    },
  },
  {
    name: 'a month ahead',
    open: async (page) => {
      await page.goto('/seasons');
      await page.getByRole('radio', { name: 'Month' }).click();
    },
  },
  {
    name: 'a plan of moves',
    open: async (page) => {
      await page.goto('/seasons?part=moves');
      await page.getByRole('button', { name: 'Work the moves out' }).click();
      await expect(page.getByRole('button', { name: 'Settle these moves' })).toBeVisible();
    },
  },
  {
    name: 'how one is moved',
    open: async (page) => {
      await openResident(page, 'Bramble');
      await page.goto(`${page.url()}/move`);
      await expect(page.getByRole('heading', { name: 'If it gets out' })).toBeVisible();
    },
  },
  { name: 'absences', open: async (page) => void (await page.goto('/seasons?part=away')) },
  {
    name: 'the sheet of an absence',
    open: async (page) => {
      await page.goto('/seasons?part=away');
      await page
        .getByRole('link', { name: /^Open the sheet/ })
        .last()
        .click();
      await expect(page.getByRole('heading', { name: 'Never open' })).toBeVisible();
    },
  },
  { name: 'the keepers', open: async (page) => void (await page.goto('/keepers')) },
  { name: 'who rests in winter', open: (page) => seasons(page, 'rest', /^Open F2, Ember/) },
  { name: 'eggs by the week they hatch', open: (page) => seasons(page, 'broods', /^Open D10/) },
  { name: 'colonies and cultures', open: (page) => seasons(page, 'colonies', /^Open E1, Swifts/) },
  {
    name: 'a rest under way',
    open: async (page) => {
      await seasons(page, 'rest', /^Open F2, Ember/);
      await page.getByRole('link', { name: /^Open F2, Ember/ }).click();
      await page.getByRole('button', { name: 'All steps' }).click();
    },
  },
  {
    name: 'a colony ahead',
    open: async (page) => {
      await seasons(page, 'colonies', /^Open F1, Old Timber/);
      await page.getByRole('link', { name: /^Open F1, Old Timber/ }).click();
      await page.getByRole('button', { name: 'Moving into a new nest' }).click();
      await page.getByRole('button', { name: 'New entry' }).click();
      await pick(page, 'What to write down', 'A count by stages or photo');
      await page.getByRole('radio', { name: 'In a photo' }).click();
    },
  },
  {
    name: 'eggs and their forms',
    open: async (page) => {
      await seasons(page, 'broods', /^Open D10/);
      await page.getByRole('link', { name: /^Open D10/ }).click();
      await page.getByRole('button', { name: 'When they were laid' }).click();
      await page.getByRole('button', { name: 'What becomes of the young' }).click();
    },
  },
  { name: 'a material', open: async (page) => void (await page.goto('/store/coir')) },
  {
    name: 'how true the forecasts came',
    open: async (page) => {
      await page.goto('/scores');
      await page.getByRole('heading', { name: 'Refusals' }).waitFor();
    },
  },
  {
    name: 'the backups',
    open: async (page) => {
      await page.goto('/backup');
      await page.getByRole('heading', { name: 'Bring a house in' }).waitFor();
    },
  },
  { name: 'the profiles', open: async (page) => void (await page.goto('/profiles')) },
  { name: 'one profile', open: async (page) => void (await page.goto('/profiles/tree-tarantula')) },
  {
    name: 'how one is kept',
    open: async (page) => {
      await openResident(page, 'Vesper');
      await page.getByRole('tab', { name: 'Care' }).click();
      await page.getByRole('link', { name: /^Kept as/ }).click();
    },
  },
  {
    name: 'who one is',
    open: async (page) => {
      await openResident(page, 'Vesper');
      await page.getByRole('tab', { name: 'Care' }).click();
      await page.getByRole('link', { name: 'Who it is' }).click();
    },
  },
  {
    name: 'an entry put right',
    open: async (page) => {
      await openResident(page, 'Soot');
      await page.getByRole('tab', { name: 'Log' }).click();
      await page
        .getByRole('button', { name: /Moulted/ })
        .first()
        .click();
      await page.getByRole('button', { name: 'Put right' }).click();
      await expect(page.getByLabel('Leg span, mm')).toBeVisible();
    },
  },
  {
    name: 'a rule that is kept so',
    open: async (page) => {
      await openBox(page, /^B3/);
      await page.getByRole('tab', { name: 'Rules' }).click();
      await page.getByRole('button', { name: /198 \/ 177 mm\. Grounds/ }).click();
      await page.getByRole('button', { name: 'I keep it so' }).click();
    },
  },
  {
    name: 'more boxes like one',
    open: async (page) => {
      await openBox(page, /^B3/);
      await page.getByRole('button', { name: 'More like it' }).click();
      await expect(page.getByLabel('First code')).toBeVisible();
    },
  },
  { name: 'rooms and shelves', open: async (page) => void (await page.goto('/homes/shelves')) },
  {
    name: 'a list brought in',
    open: async (page) => {
      await page.goto('/lists');
      await page
        .getByLabel('Or paste the table here')
        .fill('Species;Box;Leg span\nbrachypelma hamorii;A1;70\nCute fluffy thing;A2;80');
      await page.getByRole('button', { name: 'Which column is what' }).click();
      await expect(page.getByText(/^Line 3/)).toBeVisible();
    },
  },
  {
    name: 'an address where nothing is',
    open: async (page) => {
      await page.goto('/labels/of/yesterday');
      await expect(page.getByText('No such page')).toBeVisible();
    },
  },
];
