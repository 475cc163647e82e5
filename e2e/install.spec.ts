import type axe from 'axe-core';
import { expect, test } from './house';

test('a phone can put it among its apps, by what Chromium asks of one (on a phone)', async ({
  house,
  page,
  context,
}) => {
  await page.goto(`${house.address}/round`);
  const devtools = await context.newCDPSession(page);
  const { url, errors } = await devtools.send('Page.getAppManifest');
  expect([new URL(url).pathname, errors]).toEqual(['/manifest.webmanifest', []]);
  const { installabilityErrors } = await devtools.send('Page.getInstallabilityErrors');
  // A browser that was started for a test has no profile to keep an app in; all else must hold.
  expect(installabilityErrors.map(({ errorId }) => errorId).filter((id) => id !== 'in-incognito')).toEqual([]);
});

test('whoever writes scripts finds every address, its fields and an example', async ({ house, page }) => {
  await page.addInitScript({ path: require.resolve('axe-core/axe.min.js') });
  await page.goto(`${house.address}/reference/index.html#/Engines/fit`);
  const fit = page.locator('#operations-Engines-fit');
  await expect(fit.getByText('Holds a home against the rules for one animal')).toBeVisible();
  await expect(fit.getByText('"substrateDepthMm"').first()).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  const serious = await page.evaluate(async () => {
    const { run } = (window as unknown as { axe: typeof axe }).axe;
    const { violations } = await run(document, { runOnly: ['wcag2a', 'wcag2aa'] });
    return violations
      .filter(({ impact }) => impact === 'critical' || impact === 'serious')
      .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`);
  });
  // How the library nests its buttons, and scrolls its boxes, is its own.
  expect(serious.filter((each) => !/^(nested-interactive|scrollable-region-focusable)/.test(each))).toEqual([]);
  const licences = await page.request.get(`${house.address}/licences.txt`);
  expect(await licences.text()).toContain('SIL OPEN FONT LICENSE');
});
