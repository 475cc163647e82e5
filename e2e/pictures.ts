import path from 'node:path';
import type { Page } from '@playwright/test';
import { openBox, openResident, test } from './house';

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
const FOLDER = path.resolve(__dirname, '../docs/screenshots');

interface Picture {
  name: string;
  size: typeof PHONE;
  look?: 'night';
  open: (page: Page) => Promise<unknown>;
}

const PICTURES: Picture[] = [
  { name: 'round', size: PHONE, open: (page) => page.goto('/round') },
  { name: 'round-night', size: PHONE, look: 'night', open: (page) => page.goto('/round') },
  { name: 'wall-wide', size: WIDE, open: (page) => openBox(page, /^B3/) },
  { name: 'wall', size: PHONE, open: (page) => page.goto('/homes') },
  { name: 'home', size: PHONE, open: (page) => openBox(page, /^B3/) },
  { name: 'residents', size: PHONE, open: (page) => page.goto('/residents') },
  { name: 'resident', size: PHONE, open: (page) => openResident(page, 'Widow Orme') },
  {
    name: 'labels',
    size: PHONE,
    open: async (page) => {
      await page.goto('/labels');
      await page.getByRole('img', { name: /^Label: A2/ }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'trouble',
    size: PHONE,
    look: 'night',
    open: async (page) => {
      await openResident(page, 'Old Tarry');
      await page.getByRole('tab', { name: 'Care' }).click();
      await page.getByRole('link', { name: 'Something wrong' }).click();
      await page
        .getByRole('radiogroup', { name: /^Climbs the walls/ })
        .getByRole('radio', { name: 'yes' })
        .click();
      await page
        .getByRole('radiogroup', { name: /^Mould or small mites/ })
        .getByRole('radio', { name: 'yes' })
        .click();
      await page.getByText('Likely causes').scrollIntoViewIfNeeded();
    },
  },
  { name: 'care-card', size: PHONE, open: (page) => page.goto('/handbook/Poecilotheria%20regalis') },
  {
    name: 'take-in',
    size: PHONE,
    open: async (page) => {
      await page.goto('/take-in');
      await page.getByRole('button', { name: 'Fill in Grammostola pulchra' }).click();
      await page.getByRole('radio', { name: 'adult', exact: true }).click();
      await page.getByLabel('Leg span, mm').fill('118');
      await page.getByRole('radio', { name: /^B9/ }).click();
      await page.getByText('Which box').scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'build-sheet',
    size: PHONE,
    open: async (page) => {
      await openBox(page, /^E1/);
      await page.getByRole('button', { name: 'Build sheet' }).click();
      await page.getByText(/^1\. /).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'air',
    size: PHONE,
    open: async (page) => {
      await openBox(page, /^C2/);
      await page.getByRole('tab', { name: 'Air' }).click();
      await page.getByRole('img', { name: /^Humidity over/ }).waitFor();
    },
  },
  {
    name: 'store',
    size: PHONE,
    open: async (page) => {
      await page.goto('/store');
      await page.getByText(/^By /).first().waitFor();
    },
  },
  {
    name: 'seasons',
    size: PHONE,
    open: async (page) => {
      await page.goto('/seasons');
      await page
        .getByRole('link', { name: /, likeliest / })
        .first()
        .waitFor();
    },
  },
  {
    name: 'moves',
    size: PHONE,
    open: async (page) => {
      await page.goto('/seasons?part=moves');
      await page.getByRole('button', { name: 'Work the moves out' }).click();
      await page.getByText(/moves, (and no plan|within|at most)/).waitFor();
      await page.mouse.move(195, 400);
      await page.mouse.wheel(0, 470);
    },
  },
  {
    name: 'away',
    size: PHONE,
    open: async (page) => {
      await page.goto('/seasons?part=away');
      await page
        .getByRole('link', { name: /^Open the sheet/ })
        .last()
        .click();
      await page.getByRole('heading', { name: 'Never open' }).waitFor();
    },
  },
  {
    name: 'broods',
    size: PHONE,
    open: async (page) => {
      await page.goto('/seasons?part=broods');
      await page
        .getByRole('img', { name: /^Hatching/ })
        .first()
        .waitFor();
    },
  },
  {
    name: 'colony',
    size: PHONE,
    open: async (page) => {
      await page.goto('/seasons?part=colonies');
      await page.getByRole('link', { name: /^Open F4, The kitchen/ }).click();
      await page.getByRole('img', { name: /^In 52 weeks/ }).scrollIntoViewIfNeeded();
    },
  },
];

for (const { name, size, look, open } of PICTURES) {
  test(name, async ({ page }) => {
    await page.setViewportSize(size);
    await page.addInitScript((chosen) => {
      const state = { look: chosen ?? 'day', lengthUnit: 'mm', keeper: 'Odalys Fenn' };
      localStorage.setItem('verdant-burrow-preferences', JSON.stringify({ state, version: 0 }));
    }, look);
    await open(page);
    await page.getByRole('heading').first().waitFor();
    // Fonts, and the drawing that waits for the width of its pane.
    await page.waitForTimeout(900);
    await page.screenshot({ path: path.join(FOLDER, `${name}.png`) });
  });
}
