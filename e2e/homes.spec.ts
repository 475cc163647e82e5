import fs from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './house';

const openHome = async (page: Page, code: RegExp) => {
  await page.goto('/homes');
  await page.getByRole('link', { name: code }).click();
};

test('the soil line is dragged, and the verdicts follow', async ({ page }) => {
  await openHome(page, /^B3/);
  const handle = page.getByRole('slider', { name: /^Soil depth/ });
  await expect(handle).toHaveAttribute('aria-valuenow', '98');
  const drawing = page.getByRole('img', { name: /Section through B3/ });
  await expect(drawing).toHaveAccessibleName(/failing: Too far to fall/);
  const box = await handle.boundingBox();
  if (!box) throw new Error('The handle is not on the page.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 20; step += 1) await page.mouse.move(x, y - step * 2);
  await page.mouse.up();
  await expect(drawing).not.toHaveAccessibleName(/failing/);
  const dragged = Number(await handle.getAttribute('aria-valuenow'));
  expect(dragged).toBeGreaterThan(119);
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(handle).toHaveAttribute('aria-valuenow', String(dragged + 1));
  await expect(page.getByRole('button', { name: `Set depth to ${dragged + 1} mm` })).toBeVisible();
});

test('a slope is tried and set, and drawn after a restart', async ({ page, house }) => {
  await openHome(page, /^B7/);
  await page.getByRole('radio', { name: 'sloped' }).click();
  const ends = page.getByLabel(/Damp end, dry end/);
  await ends.fill('90');
  await expect(page.getByText('Write 2 depths with a semicolon between them.')).toBeVisible();
  await ends.fill('90; 60');
  await page.getByRole('button', { name: 'Set depth to 75 mm' }).click();
  await expect(page.getByText('B7: soil set to 75 mm.')).toBeVisible();
  await house.end('SIGKILL');
  await house.start();
  await openHome(page, /^B7/);
  await expect(page.getByRole('radio', { name: 'sloped' })).toBeChecked();
  await expect(page.getByLabel(/Damp end, dry end/)).toHaveValue('90; 60');
});

test('a home is seen from above and saved as a drawing', async ({ page }) => {
  await openHome(page, /^E5/);
  await page.getByRole('radio', { name: 'from above' }).click();
  await expect(page.getByRole('img', { name: /E5 from above, 450 mm by 350 mm/ })).toBeVisible();
  await page.getByRole('radio', { name: 'side', exact: true }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save drawing' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('E5-side.svg');
  const text = fs.readFileSync(await file.path(), 'utf8');
  expect(text).toMatch(/^<\?xml .*\n<svg[^>]* xmlns="http:\/\/www.w3.org\/2000\/svg"/);
  expect(text).toContain('450 mm inside');
  expect(text).not.toContain('AtkinsonBold');
});

test('two boxes stand side by side, rule beside rule', async ({ page }) => {
  await page.goto('/residents');
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await page.getByRole('button', { name: 'Compare boxes' }).click();
  await expect(page.getByRole('img', { name: /Section through B3/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Section through B9/ })).toBeVisible();
  await expect(page.getByText('198 / 177 mm')).toBeVisible();
  await page.getByRole('radio', { name: 'B11' }).click();
  await expect(page.getByRole('img', { name: /Section through B11/ })).toBeVisible();
});

test('a build sheet is ticked, kept, and written down', async ({ page }) => {
  await openHome(page, /^A5/);
  await page.getByRole('button', { name: 'Build sheet' }).click();
  const drill = page.getByRole('checkbox', { name: /^A5: Drill \d+ holes of 3 mm in the left side/ });
  await drill.click();
  await expect(drill).toBeChecked();
  await page.reload();
  await expect(drill).toBeChecked();
  await page.getByRole('button', { name: 'Write down A5 as built' }).click();
  await expect(page.getByText('A5: built and written down.')).toBeVisible();
  // Holes in facing walls: the air that stood still now moves.
  await expect(page.getByText('Fits', { exact: true })).toBeVisible();
});

test('several homes are built from one heap', async ({ page }) => {
  await page.goto('/build');
  await page.getByRole('checkbox', { name: 'Homes: B3' }).click();
  await expect(page.getByRole('heading', { name: 'B3, for Bramble' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Homes: B5', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'All together' })).toBeVisible();
  await expect(page.getByText(/bricks? of coir, .* to soak/).first()).toBeVisible();
});

test('a profile is copied, changed, assigned, and saved as a file that comes back', async ({ page }) => {
  await page.goto('/profiles/ground-tarantula');
  await page.getByRole('button', { name: 'Copy and change' }).click();
  const gap = page.getByLabel('A fall does no harm: at most, times leg span');
  await expect(gap).toHaveValue('1.5');
  await gap.fill('wide');
  await page.getByRole('button', { name: 'Put in force' }).click();
  await expect(page.getByText('A number, for example 1.5.')).toBeVisible();
  await gap.fill('2');
  await page.getByLabel('Name', { exact: true }).fill('Ground tarantula, bold');
  await page.getByRole('button', { name: 'Put in force' }).click();
  await expect(page.getByText('Ground tarantula, bold: the new numbers are in force.')).toBeVisible();

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const file = await (await saved).path();

  await page.goto('/residents');
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await page.getByRole('button', { name: 'Kept as ground tarantula' }).click();
  await page.getByRole('link', { name: /^Ground tarantula, bold, / }).click();
  await expect(page.getByText('Bramble: kept as Ground tarantula, bold.')).toBeVisible();
  await openHome(page, /^B3/);
  await expect(page.getByRole('img', { name: /Section through B3/ })).not.toHaveAccessibleName(/failing/);

  await page.goto('/profiles');
  const input = page.getByLabel('Profile to import');
  const broken = JSON.parse(fs.readFileSync(file, 'utf8'));
  broken.fit[0].min.of = 'tail';
  await input.setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(broken)),
  });
  await expect(page.getByText(/One field needs another value/)).toBeVisible();
  await input.setInputFiles(file);
  await expect(page.getByText('Ground tarantula, bold is in force.')).toBeVisible();
});

test('a box is changed, with a photo of it', async ({ page }) => {
  await openHome(page, /^N2/);
  await page.getByRole('button', { name: 'Change the box' }).click();
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
    'base64',
  );
  await page.getByLabel('Photo of the box').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: png });
  await expect(page.getByText('N2: photo kept.')).toBeVisible();
  await page
    .getByLabel('Photo of the box')
    .setInputFiles({ name: 'a.txt', mimeType: 'text/plain', buffer: Buffer.from('x') });
  await expect(page.getByText(/no picture this browser can read/)).toBeVisible();
  await page.getByRole('radio', { name: 'glass, silicone corners' }).click();
  await page.getByLabel('Weight the box bears, kg').fill('3,5');
  await page.getByRole('radio', { name: 'kept apart' }).click();
  await page.getByLabel('Their middle over the floor').fill('99');
  await page.getByRole('button', { name: 'Save the box' }).click();
  await expect(page.getByText(/or it leaves the wall/).first()).toBeVisible();
  await page.getByLabel('Their middle over the floor').fill('80');
  await page.getByRole('button', { name: 'Save the box' }).click();
  await expect(page.getByText('N2 changed.')).toBeVisible();
  await expect(page.getByText(/In quarantine since/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'Photo of N2' })).toBeVisible();
});

test('a group is taken in by number, and joins those it may join', async ({ page }) => {
  await page.goto('/take-in');
  await page.getByLabel('Scientific name').fill('porcellio');
  await page.getByRole('button', { name: 'Fill in Porcellio laevis' }).click();
  await expect(page.getByRole('radio', { name: 'Temperate isopods' })).toBeChecked();
  await page.getByLabel('How many').fill('12');
  await page.getByRole('radio', { name: /^E1, / }).click();
  await page.getByRole('button', { name: /^Take in to E1/ }).click();
  await expect(page.getByText('Porcellio laevis taken in to E1.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Swifts' })).toBeVisible();
});

test('the store says which boxes are needed, and keeps own numbers for a material', async ({ page }) => {
  await page.goto('/store');
  await page.getByRole('radio', { name: 'Boxes and soil' }).click();
  await expect(page.getByRole('link', { name: 'Cinder can move to N3' })).toBeVisible();
  await page.getByRole('radio', { name: 'after two moults' }).click();
  await expect(page.getByText(/^Buy \d+ x /).first()).toBeVisible();
  await page.getByRole('link', { name: 'Coir', exact: true }).click();
  await page.getByLabel('Water a litre holds without dripping, mL').fill('5000');
  await page.getByRole('button', { name: 'Keep these numbers' }).click();
  await expect(page.getByText('A number from 0 to 1000.')).toBeVisible();
  await page.getByLabel('Water a litre holds without dripping, mL').fill('500');
  await page.getByRole('button', { name: 'Keep these numbers' }).click();
  await expect(page.getByRole('link', { name: 'Coir, your own numbers' })).toBeVisible();
});
