import { onTheDemo, open, page, reload, see } from '../testing/walking';

onTheDemo();

const openHome = async (code: string, part: 'Air' | 'Readings') => {
  await open('/homes');
  await page.getByRole('radio', { name: code.startsWith('E') ? 'North Store' : 'Boiler Room' }).click();
  await page.getByRole('link', { name: new RegExp(`^${code}`) }).click();
  await page.getByRole('tab', { name: part }).click();
};

it('the round names what to pour where; pouring it moves the next watering, undo brings it back', async () => {
  await open('/');
  const pour = page.getByRole('checkbox', { name: /^C2: \d+ mL at the damp end/ });
  await pour.click();
  await see(pour).toBeChecked();
  await openHome('C2', 'Air');
  await see(page.getByText(/Damp it again in \d+ to \d+ days/)).toBeVisible();
  await open('/');
  await pour.click();
  await see(pour).not.toBeChecked();
  await openHome('C2', 'Air');
  await see(page.getByText(/Damp it today: \d+ mL at the damp end/)).toBeVisible();
});

it('what is read by hand is kept, and what cannot be is refused at its field', async () => {
  await openHome('E3', 'Readings');
  await page.getByLabel('Humidity, %').fill('140');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await see(page.getByText('Must be a number of percent from 0 to 100; got 140.').first()).toBeVisible();
  await page.getByLabel('Humidity, %').fill('81');
  await page.getByLabel('Temperature, C').fill('19,5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await see(page.getByText(/^19\.5 C, 81 %/)).toBeVisible();
  await page.getByRole('radio', { name: 'weight' }).click();
  await page.getByLabel('Weight of the box, g').fill('2310');
  await page.getByRole('button', { name: 'Write the weight down' }).click();
  await see(page.getByText(/^2310 g/)).toBeVisible();
  await reload();
  await see(page.getByText(/^19\.5 C, 81 %/)).toBeVisible();
  await page.getByRole('radio', { name: 'soil by hand' }).click();
  await page.getByRole('button', { name: /crumbles/ }).click();
  await open('/');
  await see(page.getByRole('checkbox', { name: /^E3: \d+ mL at the damp end/ })).toBeVisible();
});

it('a device is given a token and heard', async () => {
  await openHome('E3', 'Readings');
  await page.getByRole('button', { name: 'Another probe' }).click();
  await page.getByLabel('What it is called').fill('E3 sensor');
  await page.getByRole('button', { name: 'Add the probe' }).click();
  await see(page.getByText('Its token, shown this once:')).toBeVisible();
  const token = await page.getByText(/^[A-Za-z0-9_-]{32}$/).textContent();
  const answer = await fetch(`/api/readings`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify({ temperatureC: 19.1, relativeHumidityPct: 77 }),
  });
  expect(answer.status).toBe(201);
  await reload();
  await see(page.getByText(/^19\.1 C, 77 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Course of E3 sensor' }).click();
  await see(page.getByRole('img', { name: /^Humidity, 77 %/ })).toBeVisible();
});

it('a logger’s file with decimal commas is mapped, checked and brought in; one that is no table is refused', async () => {
  const rows = Array.from({ length: 300 }, (_, index) => {
    const two = (value: number) => String(value).padStart(2, '0');
    const humidity = index === 150 ? '20,0' : `7${index % 4},5`;
    return `${two(1 + Math.floor(index / 144))}.11.2026;${two(Math.floor((index % 144) / 6))}:${index % 6}0;21,${index % 10};${humidity}`;
  });
  const csv = (text: string) => new File([text], 'cellar.csv', { type: 'text/csv' });
  const file = csv(
    `\uFEFFDatum;Uhrzeit;Temp.(°C);rel. Feuchte\r\n${rows.join('\r\n')}\r\n31.02.2026;00:00;21,0;70,0\r\n`,
  );
  const wrong = csv(`Time,Temp,Humidity\n${rows.map((row) => row.replaceAll(';', ',')).join('\n')}\n`);

  await openHome('E3', 'Readings');
  await page.getByRole('button', { name: 'Bring in a logger’s file' }).click();
  await page.getByLabel('File of the logger').setInputFiles(wrong);
  await see(page.getByText(/decimal commas in a file parted by commas/)).toBeVisible();
  await page.getByLabel('File of the logger').setInputFiles(file);
  await page.getByRole('button', { name: 'Read it' }).click();
  await see(page.getByText('1 spike: kept, marked, not reckoned with.')).toBeVisible();
  await see(page.getByText(/^Line 302, Datum/)).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 300 readings' }).click();
  await see(page.getByText('300 readings brought in.').first()).toBeVisible();
});

it('heat is added with its cautions there and then', async () => {
  await open('/homes');
  await page.getByRole('link', { name: /^C2/ }).click();
  await page.getByRole('button', { name: 'Change the box' }).last().click();
  await page.getByRole('radio', { name: 'mat below' }).click();
  await see(page.getByText(/Never under an animal that digs/)).toBeVisible();
  await page.getByRole('radio', { name: 'mat on a side' }).click();
  await see(page.getByText(/Never under an animal that digs/)).toHaveCount(0);
  await page.getByLabel('Warmer than the room by, C').fill('3');
  await see(page.getByText(/drip loop/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the box' }).click();
  await see(page.getByText('C2 changed.')).toBeVisible();
});
