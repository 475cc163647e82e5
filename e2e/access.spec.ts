import type axe from 'axe-core';
import type { Page } from '@playwright/test';
import { PLACES } from './everyPlace';
import { expect, test, testOfNothing } from './house';

/** So many places to a test. */
const AT_ONCE = 12;
const PARTS = Array.from({ length: Math.ceil(PLACES.length / AT_ONCE) }, (_, part) => ({
  places: PLACES.slice(part * AT_ONCE, (part + 1) * AT_ONCE),
  part: part + 1,
}));
/** What is built otherwise on a wide screen: a list beside what was chosen from it. The rest are the same parts, wider. */
const OTHERWISE_WHEN_WIDE = new Set([
  ...['the round', 'one resident', 'one home', 'the store', 'the year ahead', 'a care card', 'one profile'],
  ...['the first steps', 'the example house'],
]);
/** The rules of WCAG 2.2, A and AA. */
const RULES = { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] };
/** By night only the colours differ, so only they are looked at again. */
const COLOURS = { runOnly: { type: 'rule' as const, values: ['color-contrast'] } };

/** What axe finds serious on the page, asked in the page itself: to ask through a page of its own takes twice the time. */
async function serious(page: Page, rules: object): Promise<string[]> {
  const violations = await page.evaluate(async (asked) => {
    const { run } = (window as unknown as { axe: typeof axe }).axe;
    const { violations: found, passes } = await run(document, {
      ...asked,
      resultTypes: ['violations'],
      preload: false,
    });
    if (passes.length === 0) throw new Error('axe has looked at nothing.');
    return found.map(({ id, impact, nodes }) => ({ id, impact, nodes: nodes.map(({ html }) => html.slice(0, 160)) }));
  }, rules);
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.join(' | ')}`);
}

/** Has the page in another look, as choosing it in a second tab does. */
async function look(page: Page, chosen: 'day' | 'night'): Promise<void> {
  await page.evaluate((each) => {
    const key = 'verdant-burrow-preferences';
    const kept = JSON.parse(localStorage.getItem(key) ?? '{"state":{},"version":0}');
    localStorage.setItem(key, JSON.stringify({ ...kept, state: { ...kept.state, look: each } }));
    window.dispatchEvent(new StorageEvent('storage', { key }));
  }, chosen);
  const ground = chosen === 'night' ? 'rgb(0, 0, 0)' : 'rgb(246, 242, 233)';
  await expect(page.locator('body')).toHaveCSS('background-color', ground);
}

/** Where the page shows white, blue or green: what animals of the night see, and eyes that are used to the dark. */
async function shining(page: Page): Promise<string[]> {
  const picture = (await page.screenshot({ animations: 'disabled' })).toString('base64');
  return page.evaluate(async (png) => {
    const image = new Image();
    image.src = `data:image/png;base64,${png}`;
    await image.decode();
    const canvas = new OffscreenCanvas(image.width, image.height);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('Nothing can be drawn here.');
    context.drawImage(image, 0, 0);
    const { data } = context.getImageData(0, 0, image.width, image.height);
    const places = new Map<string, number>();
    for (let at = 0; at < data.length; at += 4) {
      const [red = 0, green = 0, blue = 0] = data.subarray(at, at + 3);
      // What is drawn between two of its colours may be a step off.
      if (green <= red * 0.45 + 3 && blue <= red * 0.3 + 3) continue;
      const row = Math.floor(at / 4 / image.width / 20) * 20;
      const place = `y ${row} to ${row + 20}`;
      places.set(place, (places.get(place) ?? 0) + 1);
    }
    return [...places].map(([place, points]) => `${place}: ${points} points`);
  }, picture);
}

/** What can be tapped and is lower than a thumb needs. */
const tooLow = (page: Page) =>
  page.evaluate(() =>
    Array.from(
      document.querySelectorAll('[role=button],[role=radio],[role=checkbox],[role=switch],[role=link],button,a,input'),
    )
      .filter((element) => (element as HTMLElement).offsetParent !== null)
      // What is hidden from those who cannot see is a picture: what takes the tap stands round it.
      .filter((element) => element.closest('[aria-hidden=true]') === null)
      .map((element) => ({
        name: element.getAttribute('aria-label') ?? element.textContent,
        box: element.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.height > 0 && box.height < 44)
      .map(({ name, box }) => `${name}: ${box.height}`),
  );

const widerThanTheScreen = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

/** Text at 200 %, as the browser enlarges it: the page has half the room, and still nothing leaves it sideways. */
async function expectNoneWiderAtTwice(page: Page, name: string): Promise<void> {
  const size = page.viewportSize() ?? { width: 1280, height: 800 };
  await page.setViewportSize({ width: size.width / 2, height: size.height / 2 });
  await expect.poll(() => widerThanTheScreen(page), { message: `${name} at 200 %` }).toBeLessThanOrEqual(0);
  await page.setViewportSize(size);
}

/**
 * Nothing serious, nothing wider than the screen, nothing too low to tap; on a phone by night as well. Asked until it holds:
 * a sheet that is still coming up is half as dark as its words will be.
 */
async function expectUsable(page: Page, name: string, isPhone: boolean): Promise<void> {
  await expect(page.getByRole('main').first()).toBeVisible();
  // Every page belongs to one place of the bar, and the bar says to which.
  const here = page.getByRole('navigation', { name: 'Places' }).locator('[aria-current=page]');
  await expect(here, name).toHaveCount(1);
  await expect.poll(() => widerThanTheScreen(page), { message: name }).toBeLessThanOrEqual(0);
  await expect.poll(() => tooLow(page), { message: name }).toEqual([]);
  if (isPhone || OTHERWISE_WHEN_WIDE.has(name))
    await expect.poll(() => serious(page, RULES), { message: name }).toEqual([]);
  // The colours of the night are the same on every width.
  if (!isPhone) return expectNoneWiderAtTwice(page, name);
  await look(page, 'night');
  await expect.poll(() => serious(page, COLOURS), { message: `${name} by night` }).toEqual([]);
  // Whoever comes by keys sees where they are.
  await page.keyboard.press('Tab');
  await expect.poll(() => shining(page), { message: `${name} by night` }).toEqual([]);
  await look(page, 'day');
}

const withAxe = (page: Page) => page.addInitScript({ path: require.resolve('axe-core/axe.min.js') });

for (const { places, part } of PARTS) {
  test(`axe finds nothing serious by day and by night, nothing is wider than the screen or too low to tap (${part})`, async ({
    page,
  }, { project }) => {
    test.setTimeout(900_000);
    await withAxe(page);
    for (const { name, open } of places) {
      await open(page);
      await expectUsable(page, name, project.name === 'phone');
    }
  });
}

testOfNothing('nor in a house that is empty, and in the example that is looked into', async ({ page }, { project }) => {
  await withAxe(page);
  await page.goto('/round');
  await expect(page.getByRole('heading', { name: 'First steps' })).toBeVisible();
  await expectUsable(page, 'the first steps', project.name === 'phone');
  await page.getByRole('button', { name: 'Look into an example house' }).click();
  await expect(page.getByText('An example house, to look around and to try things in.')).toBeVisible();
  await expectUsable(page, 'the example house', project.name === 'phone');
});

/** The job that has the focus: what may be pressed there, and whether it is still to be answered. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const row = document.activeElement?.closest('[data-testid="job-row"]');
    if (!row) return 'none';
    if (row.querySelector('[aria-expanded]:disabled')) return 'settled';
    const circle = row.querySelector('[role=checkbox]');
    return circle === null || circle === document.activeElement ? 'open' : 'beside its circle';
  });

test('the round can be walked with the keyboard alone', async ({ page }) => {
  await page.goto('/round');
  const feed = page.getByRole('button', { name: 'A1: taken' });
  await expect(feed).toBeVisible();
  // Down goes from job to job, to what answers each.
  for (let presses = 0; presses < 60; presses += 1) {
    if (await feed.evaluate((element) => element === document.activeElement)) break;
    await page.keyboard.press('ArrowDown');
    expect(await focused(page)).toBe('open');
  }
  await expect(feed).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('checkbox', { name: /^A1: .*up to/ })).toBeChecked();
  // What was answered hands the focus on, though the button is drawn no more, and so does what was ticked.
  await expect.poll(() => focused(page)).toBe('open');
  const dish = page.getByRole('checkbox', { name: /^A4: Rinse/ });
  await dish.focus();
  await page.keyboard.press('Space');
  await expect(dish).toBeChecked();
  await expect(dish).not.toBeFocused();
  await expect.poll(() => focused(page)).toBe('open');
  await page.keyboard.press('?');
  await expect(page.getByRole('note', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('note', { name: 'Keys' })).toHaveCount(0);
});

/** What has the focus, if the page looks the same there without it. */
async function unseenFocus(page: Page): Promise<string[]> {
  const clip = await page.evaluate(() => {
    const { left, top, right, bottom } = (document.activeElement ?? document.body).getBoundingClientRect();
    const [x, y] = [Math.max(0, left - 4), Math.max(0, top - 4)];
    const [width, height] = [Math.min(innerWidth, right + 4) - x, Math.min(innerHeight, bottom + 4) - y];
    return { x, y, width, height };
  });
  const picture = () => page.screenshot({ clip, animations: 'disabled', caret: 'hide' });
  const withIt = await picture();
  const element = await page.evaluateHandle(() => document.activeElement as HTMLElement);
  await element.evaluate((each) => each.blur());
  const without = await picture();
  const name = await element.evaluate((each) => {
    each.focus();
    return each.getAttribute('aria-label') ?? each.textContent;
  });
  return withIt.equals(without) ? [name] : [];
}

test('whoever comes by keys sees where they are', async ({ page }) => {
  for (const place of ['/round', '/homes', '/settings', '/take-in']) {
    await page.goto(place);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    const unseen: string[] = [];
    const press = async (key: string, times: number) => {
      for (let press = 0; press < times; press += 1) {
        await page.keyboard.press(key);
        unseen.push(...(await unseenFocus(page)));
      }
    };
    await press('Tab', 14);
    // The places of the program.
    await page.getByRole('navigation').getByRole('link', { name: 'More' }).focus();
    await press('Shift+Tab', 6);
    expect(unseen, place).toEqual([]);
  }
});
