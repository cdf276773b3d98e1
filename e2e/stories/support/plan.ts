import { expect, type Page } from '@playwright/test';
import { expectSound } from './sound.js';

/** Plans an hour for everyone from a template. */
export async function planAnHour(page: Page): Promise<void> {
  await page.goto('/');
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: 'Plan' })
    .click();
  await expect(page.getByText('Nothing is planned yet.')).toBeVisible();
  await expectSound(page);
  await page.getByRole('button', { name: 'A squad at two stations' }).click();
  await expect(page.getByRole('heading', { name: 'Who comes?' })).toBeVisible();
  await page.getByRole('button', { name: /Everyone of/ }).click();
  await page.getByRole('option', { name: 'everyone', exact: true }).click();
  await expect(page.getByText('47 of 60 minutes for 8: everyone works 6 sets.')).toBeVisible();
}
