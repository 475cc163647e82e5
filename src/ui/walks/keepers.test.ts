import fs from 'node:fs';
import ICAL from 'ical.js';
import { asks, choose, onTheDemo, open, page, reload, see } from '../testing/walking';

onTheDemo();

const cardOf = (name: string) => page.getByRole('group', { name, exact: true });
const openCard = async (name: string) => {
  await open('/keepers');
  await page.getByRole('link', { name, exact: true }).click();
  return cardOf(name);
};

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

const pick = async (name: string, text: string) => {
  choose('mine.ics', 'text/calendar', text);
  await cardOf(name).getByRole('button', { name: 'Read a calendar of mine' }).click();
};

it('a keeper comes, says when the walk begins, and goes', async () => {
  await open('/settings');
  await page.getByRole('link', { name: 'Keepers' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Odalys Fenn');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await see(page.getByText(/There is a keeper called Odalys Fenn already/)).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Wren Aldous');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const card = cardOf('Wren Aldous');
  await see(card.getByText('Walks the whole house.')).toBeVisible();
  await card.getByRole('button', { name: /^Walk begins: / }).click();
  await card.getByRole('button', { name: 'Walk begins: an hour later' }).click();
  await card.getByRole('button', { name: 'Walk begins: a quarter earlier' }).click();
  await card.getByRole('button', { name: /^Time zone: / }).click();
  await page.getByLabel('Find in Time zone').fill('lisb');
  await page.getByRole('radio', { name: 'Europe/Lisbon' }).click();
  await card.getByRole('button', { name: 'Keep time and zone' }).click();
  await see(card.getByRole('button', { name: 'Keep time and zone' })).toHaveCount(0);
  await card.getByRole('checkbox', { name: /North Store/ }).click();
  await see(card.getByText('Walks the whole house.')).toHaveCount(0);
  await card.getByRole('button', { name: 'This phone is theirs' }).click();
  await see(card.getByText('This phone is yours.')).toBeVisible();

  await reload();
  await see(card.getByRole('button', { name: /^Walk begins: \d\d:45$/ })).toBeVisible();
  await see(card.getByRole('button', { name: 'Time zone: Europe/Lisbon' })).toBeVisible();
  await see(card.getByRole('checkbox', { name: /North Store/ })).toBeChecked();
  await card.getByRole('button', { name: 'Take Wren Aldous out' }).click();
  await see(page.getByText(/What Wren Aldous wrote down stays/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await see(card).toBeVisible();
  await card.getByRole('button', { name: 'Take Wren Aldous out' }).click();
  await page.getByRole('button', { name: 'Take out', exact: true }).click();
  await see(card).toHaveCount(0);
});

it('a calendar is subscribed to by an address that can be renewed and shut', async () => {
  const card = await openCard('Imre Talsk');
  await card.getByRole('button', { name: /^(New address|Address to subscribe)$/ }).click();
  const first = (await card.getByText(/\/api\/calendar\//).textContent()) ?? '';
  const calendar = new ICAL.Component(ICAL.parse((await asks(first)).text));
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.length).toBeGreaterThan(10);
  // In London in winter seven in the evening is seven by UTC, and in summer six.
  const walks = events.filter(({ summary }) => /^Round|walk/i.test(summary));
  expect(walks.length).toBeGreaterThan(5);
  for (const { startDate } of walks) expect([18, 19]).toContain(startDate.hour);

  await card.getByRole('button', { name: 'New address' }).click();
  await see(card.getByText(first)).toHaveCount(0);
  const second = (await card.getByText(/\/api\/calendar\//).textContent()) ?? '';
  expect((await asks(first)).status).toBe(404);
  expect((await asks(second)).status).toBe(200);
  await card.getByRole('button', { name: 'Shut' }).click();
  await see(card.getByRole('button', { name: 'Address to subscribe' })).toBeVisible();
  expect((await asks(second)).status).toBe(404);
});

it('days without time are read from a calendar of one’s own; what is none changes nothing', async () => {
  const card = await openCard('Bram Lindqvist-Oro');
  await pick('Bram Lindqvist-Oro', taken(5, 6, 12));
  await see(card.getByText('Days without time: 3')).toBeVisible();
  await pick('Bram Lindqvist-Oro', fs.readFileSync('package.json', 'utf8'));
  await see(page.getByText(/iCalendar/)).toBeVisible();
  await see(card.getByText('Days without time: 3')).toBeVisible();
  await card.getByRole('button', { name: 'Forget them' }).click();
  await see(card.getByText('Days without time: 0')).toBeVisible();
});
