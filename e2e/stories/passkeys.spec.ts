import { expect } from '@playwright/test';
import { makeOwner, PASSWORD } from './support/accounts.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

test('somebody signs in by a passkey of their device; what was sent once lets nobody in twice @thorough', async ({
  browser,
  untouched,
}) => {
  // A passkey is for a name, and a number is none.
  const context = await browser.newContext({
    baseURL: untouched.address.replace('127.0.0.1', 'localhost'),
    storageState: { cookies: [], origins: [] },
  });
  const page = await context.newPage();
  const authenticator = await context.newCDPSession(page);
  await authenticator.send('WebAuthn.enable');
  await authenticator.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      ...{ protocol: 'ctap2', transport: 'internal', hasResidentKey: true },
      ...{ hasUserVerification: true, isUserVerified: true, automaticPresenceSimulation: true },
    },
  });
  await page.goto('/clubs');
  await page.getByRole('button', { name: 'Open Tiller Lane Squash' }).click();
  await makeOwner(page);
  await page.getByRole('textbox', { name: 'What to call it' }).fill('Laptop at the desk');
  await page.getByRole('button', { name: 'Make a passkey on this device' }).click();
  const passkeys = page.getByRole('list', { name: 'Passkeys' });
  await expect(passkeys.getByText('Laptop at the desk')).toBeVisible();
  await expectSound(page);
  // One on a device is enough.
  await page.getByRole('button', { name: 'Make a passkey on this device' }).click();
  await expect(page.getByText(/^No passkey was made/)).toBeVisible();
  await expect(passkeys.getByRole('listitem')).toHaveCount(1);

  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expectSound(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  const sent = page.waitForRequest((request) => request.url().endsWith('/sign-in/passkey'));
  await page.getByRole('button', { name: 'Sign in with a passkey' }).click();
  await expect(page.getByRole('link', { name: 'Who comes in' })).toBeVisible();
  const answer: unknown = (await sent).postDataJSON();

  // Overheard, and sent from elsewhere or again from here, it opens nothing.
  const stranger = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  for (const who of [stranger, context]) {
    const origin = untouched.address.replace('127.0.0.1', 'localhost');
    const reply = await who.request.post(`${origin}/api/sign-in/passkey`, {
      ...{ data: answer, headers: { Origin: origin } },
    });
    expect(reply.status()).toBe(409);
    const asked = await who.request.post(`${origin}/api/sign-in/passkey/new`, {
      headers: { Origin: origin },
    });
    expect(asked.ok()).toBe(true);
    const again = await who.request.post(`${origin}/api/sign-in/passkey`, {
      ...{ data: answer, headers: { Origin: origin } },
    });
    expect(again.status()).toBe(401);
  }

  await page.goto('/account');
  await page.getByRole('button', { name: 'Remove the passkey Laptop at the desk' }).click();
  await expect(passkeys).toBeHidden();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'Sign in with a passkey' }).click();
  await expect(page.getByText(/^That passkey is not one of an account here/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Email address' }).fill('mara@example.org');
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Who comes in' })).toBeVisible();
});
