import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { boxAddress } from '../src/core/labels/boxCode';
import { filmOf } from './cameraVideo';
import { expect, test } from './house';

/** A phone whose camera sees one thing, in a house. */
async function phoneThatSees(text: string, address: string, isAllowed: boolean, act: (page: Page) => Promise<void>) {
  const film = path.join(os.tmpdir(), `vb-film-${process.pid}.y4m`);
  filmOf(text, film);
  const { executablePath, args = [] } = test.info().project.use.launchOptions ?? {};
  const camera = ['--use-fake-device-for-media-stream', `--use-file-for-fake-video-capture=${film}`];
  const browser = await chromium.launch({ ...(executablePath && { executablePath }), args: [...args, ...camera] });
  const context = await browser.newContext({
    baseURL: address,
    viewport: { width: 390, height: 844 },
    permissions: isAllowed ? ['camera'] : [],
  });
  try {
    await act(await context.newPage());
  } finally {
    await browser.close();
  }
}

const LABEL_WAS_PRINTED_AT = 'http://burrow.local:4870';

test('the code on a box opens it with what is due there, and the walk goes on (on a phone)', async ({ house }) => {
  const { homes } = (await (await fetch(`${house.address}/api/homes`)).json()) as {
    homes: { id: string; code: string }[];
  };
  const b3 = homes.find(({ code }) => code === 'B3');
  if (!b3) throw new Error('The demo has no box B3.');
  await phoneThatSees(boxAddress(LABEL_WAS_PRINTED_AT, b3.id), house.address, true, async (page) => {
    await page.goto('/round');
    await page.getByRole('button', { name: 'Scan a box' }).click();
    await expect(page.getByRole('heading', { name: 'B3: 3 things to do' })).toBeVisible();
    await page.getByRole('checkbox', { name: /^B3: Take droppings/ }).click();
    await expect(page.getByRole('heading', { name: 'B3: 2 things to do' })).toBeVisible();
    await expect(page.getByText(/^Been before 1 box\./)).toBeVisible();
    await page.getByRole('button', { name: 'Scan the next box' }).click();
    await expect(page.getByRole('heading', { name: 'B3: 2 things to do' })).toBeVisible();
    // The camera of the phone itself opens the same page.
    await page.goto(new URL(boxAddress('http://here', b3.id)).pathname);
    await expect(page.getByRole('heading', { name: 'B3: 2 things to do' })).toBeVisible();
  });
});

test('a code of something else, a box that is gone and a camera that is not allowed are said plainly (on a phone)', async ({
  house,
}) => {
  await phoneThatSees('WIFI:S:shed;;', house.address, true, async (page) => {
    await page.goto('/scan');
    await expect(page.getByText('This code is not of a box: “WIFI:S:shed;;”.')).toBeVisible();
    await page.getByLabel('Or type what the box is called').fill('b3');
    await page.getByRole('button', { name: 'Open B3' }).click();
    await expect(page.getByRole('heading', { name: /^B3: / })).toBeVisible();
  });
  const gone = boxAddress(LABEL_WAS_PRINTED_AT, '00000000-0000-4000-8000-000000000000');
  await phoneThatSees(gone, house.address, true, async (page) => {
    await page.goto('/scan');
    await expect(page.getByText(/^This label is of a box that is not here/)).toBeVisible();
  });
  await phoneThatSees(gone, house.address, false, async (page) => {
    await page.goto('/scan');
    await expect(page.getByText(/^The camera was not allowed/)).toBeVisible();
  });
});

test('labels are printed, fetched as a file, and taken back', async ({ page }) => {
  await page.goto('/labels');
  await expect(page.getByRole('img', { name: /^Label: A1/ })).toBeVisible();
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  await expect(page.getByText('Every label still holds as it was printed.')).toBeVisible();
  await page.getByRole('button', { name: 'Not printed' }).click();
  await expect(page.getByText(/^45 labels: 45 never printed/)).toBeVisible();
  await page.getByRole('button', { name: 'What the label printer printed' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: /^Save what was printed/ }).click();
  expect((await saved).suggestedFilename()).toMatch(/^labels-.*\.pdf$/);
});
