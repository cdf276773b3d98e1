import { expect, type Browser, type Page } from '@playwright/test';
import { fetchesNothingAhead } from './ahead.js';

export const PASSWORD = 'quick feet, quiet head';

/** A device that has not been here: no club is remembered, nobody signed in. */
export async function newDevice(
  browser: Browser,
  baseURL: string,
  viewport = { width: 390, height: 844 },
): Promise<Page> {
  const context = await browser.newContext({
    baseURL,
    viewport,
    storageState: { cookies: [], origins: [] },
  });
  await fetchesNothingAhead(context);
  return context.newPage();
}

/** Says who an account is for. */
export const fillAccount = async (page: Page, name: string, email: string) => {
  await page.getByRole('textbox', { name: 'Your name' }).fill(name);
  await page.getByRole('textbox', { name: 'Email address' }).fill(email);
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
};

/** The club opened here gets its owner. */
export async function makeOwner(page: Page): Promise<void> {
  await page.goto('/account');
  await expect(page.getByRole('heading', { name: /^Whoever sits at this machine/ })).toBeVisible();
  await fillAccount(page, 'Mara Tolven', 'mara@example.org');
  await page.getByRole('button', { name: 'Make me its owner' }).click();
  await expect(
    page.getByRole('heading', { name: 'Signed in as Mara Tolven, owner' }),
  ).toBeVisible();
}

/** The owner makes a link; where it leads. */
export async function invite(
  page: Page,
  name: string,
  role: string,
  athlete?: string,
): Promise<string> {
  await page.goto('/account');
  await page.getByRole('button', { name: 'Invite somebody' }).click();
  await page.getByRole('button', { name: /What they may do$/ }).click();
  await page.getByRole('option', { name: role, exact: true }).click();
  if (athlete) {
    await page.getByRole('button', { name: /Whose things they see$/ }).click();
    await page.getByRole('option', { name: athlete }).click();
  }
  await page.getByRole('textbox', { name: 'Who it is for' }).fill(name);
  await page.getByRole('button', { name: 'Make the link' }).click();
  await expect(page.getByRole('img', { name: 'Scan to open the invitation' })).toBeVisible();
  return (await page.locator('code').textContent()) ?? '';
}
