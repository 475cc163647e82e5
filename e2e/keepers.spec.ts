import fs from 'node:fs';
import type { Page } from '@playwright/test';
import ICAL from 'ical.js';
import { expect, test } from './house';

const cardOf = (page: Page, name: string) => page.getByRole('group', { name, exact: true });

/** An iCalendar file of days that are taken from morning to night, so many days from now. */
const taken = (...inDays: number[]) => {
  const stamp = (inDay: number, hour: string) =>
    `${new Date(Date.now() + inDay * 864e5).toISOString().slice(0, 10).replaceAll('-', '')}T${hour}0000Z`;
  const events = inDays.map((day) => [
    'BEGIN:VEVENT',
    `UID:${day}@x.invalid`,
    `DTSTART:${stamp(day, '08')}`,
    `DTEND:${stamp(day, '18')}`,
    'END:VEVENT',
  ]);
  return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//EN', ...events.flat(), 'END:VCALENDAR', ''].join('\r\n');
};

const pick = async (page: Page, name: string, text: string) => {
  const chooser = page.waitForEvent('filechooser');
  await cardOf(page, name).getByRole('button', { name: 'Read a calendar of mine' }).click();
  await (await chooser).setFiles({ name: 'mine.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
};

test('a keeper comes, says when the walk begins, and goes (on a phone)', async ({ page, house }) => {
  await page.goto('/settings');
  await page.getByRole('link', { name: 'Keepers' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Odalys Fenn');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText(/There is a keeper called Odalys Fenn already/)).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Wren Aldous');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const card = cardOf(page, 'Wren Aldous');
  await expect(card.getByText('Walks the whole house.')).toBeVisible();
  await card.getByLabel('Walk begins, as 19:00').fill('25:10');
  await card.getByRole('button', { name: 'Keep time and zone' }).click();
  await expect(page.getByText(/time of day/)).toBeVisible();
  await card.getByLabel('Walk begins, as 19:00').fill('06:15');
  await card.getByRole('button', { name: 'Keep time and zone' }).click();
  await expect(card.getByRole('button', { name: 'Keep time and zone' })).toHaveCount(0);
  await card.getByRole('checkbox', { name: /North Store/ }).click();
  await expect(card.getByText('Walks the whole house.')).toHaveCount(0);
  await card.getByRole('button', { name: 'This phone is theirs' }).click();
  await expect(card.getByText('This phone is yours.')).toBeVisible();

  await house.end('SIGKILL');
  await house.start();
  await page.reload();
  await expect(card.getByLabel('Walk begins, as 19:00')).toHaveValue('06:15');
  await expect(card.getByRole('checkbox', { name: /North Store/ })).toBeChecked();
  await card.getByRole('button', { name: 'Take Wren Aldous out' }).click();
  await expect(card.getByText(/What Wren Aldous wrote down stays/)).toBeVisible();
  await card.getByRole('button', { name: 'Take out all the same' }).click();
  await expect(card).toHaveCount(0);
});

test('a calendar is subscribed to by an address that can be renewed and shut (on a phone)', async ({ page }) => {
  await page.goto('/keepers');
  const card = cardOf(page, 'Imre Talsk');
  await card.getByRole('button', { name: /^(New address|Address to subscribe)$/ }).click();
  const first = (await card.getByText(/\/api\/calendar\//).textContent()) ?? '';
  const calendar = new ICAL.Component(ICAL.parse(await (await page.request.get(first)).text()));
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.length).toBeGreaterThan(10);
  // In London in winter seven in the evening is seven by UTC, and in summer six.
  const walks = events.filter(({ summary }) => /^Round|walk/i.test(summary));
  expect(walks.length).toBeGreaterThan(5);
  for (const { startDate } of walks) expect([18, 19]).toContain(startDate.hour);

  await card.getByRole('button', { name: 'New address' }).click();
  await expect(card.getByText(first)).toHaveCount(0);
  const second = (await card.getByText(/\/api\/calendar\//).textContent()) ?? '';
  expect((await page.request.get(first)).status()).toBe(404);
  expect((await page.request.get(second)).status()).toBe(200);
  await card.getByRole('button', { name: 'Shut' }).click();
  await expect(card.getByRole('button', { name: 'Address to subscribe' })).toBeVisible();
  expect((await page.request.get(second)).status()).toBe(404);
});

test('days without time are read from a calendar of one’s own; what is none changes nothing (on a phone)', async ({
  page,
}) => {
  await page.goto('/keepers');
  const card = cardOf(page, 'Bram Lindqvist-Oro');
  await pick(page, 'Bram Lindqvist-Oro', taken(5, 6, 12));
  await expect(card.getByText('Days without time: 3')).toBeVisible();
  await pick(page, 'Bram Lindqvist-Oro', fs.readFileSync('package.json', 'utf8'));
  await expect(page.getByText(/iCalendar/)).toBeVisible();
  await expect(card.getByText('Days without time: 3')).toBeVisible();
  await card.getByRole('button', { name: 'Forget them' }).click();
  await expect(card.getByText('Days without time: 0')).toBeVisible();
});
