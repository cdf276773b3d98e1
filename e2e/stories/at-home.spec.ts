import { expect } from '@playwright/test';
import { Coach } from './support/coach.js';
import { hurry } from './support/hurry.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

test.use({ fetchesAhead: true });

test('on a phone without a network the drill for home is run and written down; both arrive when there is one @thorough', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.addInitScript(hurry, 4);
  await page.goto('/people');
  await page.getByRole('link', { name: 'Idris Fennimar' }).first().click();
  await page.getByRole('link', { name: 'A sheet for practice at home' }).click();
  const own = page.getByRole('region', { name: 'Write down what you did' });
  await expect(own.getByText('0 minutes this week.')).toBeVisible();
  await expectFits(page);
  await expectSound(page);
  // What the floor needs is fetched meanwhile.
  await page.waitForLoadState('networkidle');

  await context.setOffline(true);
  await page.getByRole('link', { name: 'Run it on this device' }).click();
  await expect(page.getByRole('heading', { name: /^Idris Fennimar, ready/ })).toBeVisible();
  const coach = new Coach(page);
  await coach.timeBy('The simulated athlete');
  await coach.fill('Reps', '5');
  await coach.start();
  await coach.finished(5);
  await page.getByRole('button', { name: 'See where the time went' }).click();
  await expect(page).toHaveURL(/\/review\//);
  await page.goBack();
  await expect(page.getByRole('heading', { name: /^Idris Fennimar, ready/ })).toBeVisible();
  await page.goBack();
  const minutes = own.getByRole('textbox', { name: 'Minutes' });
  await minutes.fill('20');
  await minutes.press('Tab');
  await own.getByRole('radiogroup').getByText('6', { exact: true }).click();
  await own.getByRole('textbox', { name: 'What you noticed' }).fill('Wet floor, stopped early');
  await own.getByRole('button', { name: /^Ask yourself what held/ }).click();
  const asks = own.getByRole('group', { name: 'Ask yourself: what held?' });
  await asks.locator('label').first().click();
  await expect(asks.getByRole('checkbox').first()).toBeChecked();
  await own.getByRole('button', { name: 'Write it down' }).click();
  await expect(
    own.getByText(/20\smin, hard: 6 of 10, 1 of \d+ questions held \(not: .+\), Wet floor/),
  ).toBeVisible();
  await expect(asks).toBeHidden();
  await expect(own.getByText('20 minutes this week.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('all sent')).toBeVisible({ timeout: 30_000 });

  // The coach sees both.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.reload();
  await expect(own.getByText('20 minutes this week.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to Idris Fennimar' }).click();
  await expect(page.getByRole('link', { name: 'The last set, today' })).toBeVisible();
  await page.getByRole('link', { name: 'A sheet for practice at home' }).click();
  await own.getByRole('button', { name: /^Take back: .*20\smin/ }).click();
  await expect(own.getByText('0 minutes this week.')).toBeVisible();
});
