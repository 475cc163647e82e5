import { chromium, type Page } from '@playwright/test';
import { control } from '../src/server/testing/standingServer';
import { testStart } from '../src/core/testing/testStart';
import { expect, testOfNothing as test } from './house';

const PASSWORD = 'seven damp isopods';

async function setUp(page: Page): Promise<void> {
  await page.goto('/people');
  await page.getByLabel('Your name').fill('Ada');
  await page.getByLabel('A password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Become its keeper' }).click();
  await expect(page.getByText('You are Ada')).toBeVisible();
}

// Whoever comes after finds a house without a door.
test.afterEach(({ standing: { address } }) => control(address, 'house', { holds: 'nothing', at: testStart() }));

test('a house gets a door; a phone is paired by its code, walks, and is signed out from afar (on a phone)', async ({
  page,
  browser,
  baseURL,
}) => {
  await setUp(page);
  await page.getByLabel('Name', { exact: true }).fill('Ben');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: /^Show a code/ }).click();
  const address = await page.getByText(/\/pair#/).innerText();
  const phone = await (
    await browser.newContext({ ...(baseURL && { baseURL }), viewport: { width: 390, height: 844 } })
  ).newPage();
  await phone.goto('/residents');
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await phone.goto(address);
  await expect(phone).toHaveURL(/\/round$/);
  await expect(phone.getByRole('navigation', { name: 'Places' })).toBeVisible();
  // A helper finds nobody else under People, and no rule to change.
  await phone.goto('/people');
  await expect(phone.getByText('You are Ben')).toBeVisible();
  await expect(phone.getByText('Let somebody in')).toHaveCount(0);
  await page.reload();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  // The code was used: it lets nobody in again.
  await phone.goto(address);
  await expect(phone.getByRole('alert')).toContainText('works once');
});

test('a page locks, and a PIN opens it; a passkey is two taps from the door to the round (on a phone)', async ({
  standing: { address },
}) => {
  // Passkeys belong to a name: `localhost` is one, 127.0.0.1 is none. An authenticator of the browser's own answers.
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const page = await browser.newPage({
    baseURL: address.replace('127.0.0.1', 'localhost'),
    viewport: { width: 390, height: 844 },
  });
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
    },
  });
  await setUp(page);
  await page.goto('/people/me');
  await page.getByRole('button', { name: 'Make a passkey' }).click();
  await expect(page.getByText('Passkey 1')).toBeVisible();
  await page.getByRole('textbox', { name: 'PIN' }).fill('2468');
  await page.getByRole('button', { name: 'Set the PIN' }).click();
  await page.getByRole('button', { name: 'Lock now' }).click();
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeVisible();
  await page.getByRole('textbox', { name: 'PIN' }).fill('1111');
  await page.getByRole('button', { name: 'Unlock' }).click();
  await expect(page.getByText('Must be the PIN of that name.')).toBeVisible();
  await page.getByRole('textbox', { name: 'PIN' }).fill('2468');
  await page.getByRole('button', { name: 'Unlock' }).click();
  await expect(page.getByText(/^You are a keeper/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).last().click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.goto('/round');
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByRole('heading', { name: 'First steps' })).toBeVisible();
  await browser.close();
});
