import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './house';

const openHome = async (page: Page, code: string, way: 'Air and water' | 'Readings') => {
  await page.goto('/homes');
  await page.getByRole('link', { name: new RegExp(`^${code}`) }).click();
  await page.getByRole('button', { name: way }).last().click();
};

test('the round names what to pour where; pouring it moves the next watering, undo brings it back', async ({
  page,
}) => {
  await page.goto('/');
  const pour = page.getByRole('checkbox', { name: /^C2: \d+ mL at the damp end/ });
  await pour.click();
  await expect(pour).toBeChecked();
  await openHome(page, 'C2', 'Air and water');
  await expect(page.getByText(/Damp it again in \d+ days/)).toBeVisible();
  await page.goto('/');
  await pour.click();
  await expect(pour).not.toBeChecked();
  await openHome(page, 'C2', 'Air and water');
  await expect(page.getByText(/Damp it today: \d+ mL at the damp end/)).toBeVisible();
});

test('another way is tried by keys: the numbers follow, beside how it stands', async ({ page }) => {
  await openHome(page, 'B5', 'Air and water');
  await expect(page.getByRole('img', { name: /^Humidity over 30 days/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Wetness/ })).toBeVisible();
  const changes = page.getByText(/\d an hour$/).first();
  const before = await changes.textContent();
  await page.getByRole('radio', { name: 'all round' }).click();
  const holes = page.getByRole('slider', { name: 'Holes in each side' });
  await holes.focus();
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('PageUp');
  await expect(holes).toHaveAttribute('aria-valuenow', '26');
  await expect(page.getByText(before ?? '', { exact: true })).toHaveCSS('text-decoration-line', 'line-through');
  await page.getByRole('button', { name: 'As it stands' }).click();
  await expect(page.getByText(before ?? '', { exact: true })).not.toHaveCSS('text-decoration-line', 'line-through');
  await page.getByRole('button', { name: 'What each opening contributes' }).click();
  await expect(page.getByText('seam of the lid')).toBeVisible();
  await page.getByRole('button', { name: 'Holes for the band' }).click();
  await expect(page.getByText(/holes? of .* in each of|holes? of .* in (left|front)/)).toBeVisible();
  const wish = page.getByRole('slider', { name: 'Changes of air, at least' });
  await wish.focus();
  for (let press = 0; press < 8; press += 1) await page.keyboard.press('PageUp');
  const days = page.getByRole('slider', { name: 'Damped no more often than every' });
  await days.focus();
  for (let press = 0; press < 10; press += 1) await page.keyboard.press('PageUp');
  await expect(page.getByText('No holes grant all of that in this box.')).toBeVisible();
  await page.getByRole('button', { name: 'The other school, on this box' }).click();
  await expect(page.getByRole('img', { name: /^Large dish, no misting/ })).toBeVisible();
  await page.getByRole('button', { name: 'What the physics leaves out' }).click();
  await expect(page.getByText(/Water through the walls/)).toBeVisible();
});

test('what is read by hand is kept through a power cut, and what cannot be is refused at its field', async ({
  page,
  house,
}) => {
  await openHome(page, 'E3', 'Readings');
  await page.getByLabel('Humidity, %').fill('140');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Must be a number of percent from 0 to 100; got 140.').first()).toBeVisible();
  await page.getByLabel('Humidity, %').fill('81');
  await page.getByLabel('Temperature, C').fill('19,5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/^19\.5 C, 81 %/)).toBeVisible();
  await page.getByRole('radio', { name: 'weight' }).click();
  await page.getByLabel('Weight of the box, g').fill('2310');
  await page.getByRole('button', { name: 'Write the weight down' }).click();
  await expect(page.getByText(/^2310 g/)).toBeVisible();
  await house.end('SIGKILL');
  await house.start();
  await page.reload();
  await expect(page.getByText(/^19\.5 C, 81 %/)).toBeVisible();
  await page.getByRole('radio', { name: 'soil by hand' }).click();
  await page.getByRole('button', { name: /crumbles/ }).click();
  await page.goto('/');
  await expect(page.getByRole('checkbox', { name: /^E3: \d+ mL at the damp end/ })).toBeVisible();
});

test('a device is given a token and heard (on a phone)', async ({ page, house }) => {
  await openHome(page, 'E3', 'Readings');
  await page.getByRole('button', { name: 'Another probe' }).click();
  await page.getByLabel('What it is called').fill('E3 sensor');
  await page.getByRole('button', { name: 'Add the probe' }).click();
  await expect(page.getByText('Its token, shown this once:')).toBeVisible();
  const token = await page
    .locator('div[dir=auto]')
    .filter({ hasText: /^[A-Za-z0-9_-]{32}$/ })
    .first()
    .textContent();
  const answer = await fetch(`${house.address}/api/readings`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify({ temperatureC: 19.1, relativeHumidityPct: 77 }),
  });
  expect(answer.status).toBe(201);
  await page.reload();
  await expect(page.getByText(/^19\.1 C, 77 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Course of E3 sensor' }).click();
  await expect(page.getByRole('img', { name: /^Humidity, 77 %/ })).toBeVisible();
});

test('a logger’s file with decimal commas is mapped, checked and brought in; one that is no table is refused (on a phone)', async ({
  page,
}) => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-logger-'));
  const rows = Array.from({ length: 300 }, (_, index) => {
    const two = (value: number) => String(value).padStart(2, '0');
    const humidity = index === 150 ? '20,0' : `7${index % 4},5`;
    return `${two(1 + Math.floor(index / 144))}.11.2026;${two(Math.floor((index % 144) / 6))}:${index % 6}0;21,${index % 10};${humidity}`;
  });
  const file = path.join(folder, 'cellar.csv');
  fs.writeFileSync(
    file,
    `\uFEFFDatum;Uhrzeit;Temp.(°C);rel. Feuchte\r\n${rows.join('\r\n')}\r\n31.02.2026;00:00;21,0;70,0\r\n`,
  );
  const wrong = path.join(folder, 'wrong.csv');
  fs.writeFileSync(wrong, `Time,Temp,Humidity\n${rows.map((row) => row.replaceAll(';', ',')).join('\n')}\n`);

  await openHome(page, 'E3', 'Readings');
  await page.getByRole('button', { name: 'Bring in a logger’s file' }).click();
  await page.getByLabel('File of the logger').setInputFiles(wrong);
  await expect(page.getByText(/decimal commas in a file parted by commas/)).toBeVisible();
  await page.getByLabel('File of the logger').setInputFiles(file);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('1 spike: kept, marked, not reckoned with.')).toBeVisible();
  await expect(page.getByText(/^Line 302, Datum/)).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 300 readings' }).click();
  await expect(page.getByText('300 readings brought in.').first()).toBeVisible();
  fs.rmSync(folder, { recursive: true });
});

test('heat is added with its cautions there and then (on a phone)', async ({ page }) => {
  await page.goto('/homes');
  await page.getByRole('link', { name: /^C2/ }).click();
  await page.getByRole('button', { name: 'Change the box' }).last().click();
  await page.getByRole('radio', { name: 'mat below' }).click();
  await expect(page.getByText(/Never under an animal that digs/)).toBeVisible();
  await page.getByRole('radio', { name: 'mat on a side' }).click();
  await expect(page.getByText(/Never under an animal that digs/)).toHaveCount(0);
  await page.getByLabel('Warmer than the room by, C').fill('3');
  await expect(page.getByText(/drip loop/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the box' }).click();
  await expect(page.getByText('C2 changed.')).toBeVisible();
});
