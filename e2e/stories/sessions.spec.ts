import { expect } from '@playwright/test';
import { planAnHour } from './support/plan.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

test('a session is kept though the network goes: who was there, how hard it was, what was seen; next time it is known', async ({
  page,
  context,
}) => {
  await planAnHour(page);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Warm-up' })).toBeVisible();
  await page.getByRole('button', { name: 'What was seen' }).click();
  const seen = page.getByRole('region', { name: 'What was seen' });
  await expect(seen.getByRole('button', { name: 'Everybody' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await seen.getByRole('button', { name: 'Juno Marlock' }).click();
  await context.setOffline(true);
  await seen.getByRole('button', { name: 'flat feet' }).click();
  await seen.getByRole('textbox').fill('Waits on the heels');
  await seen.getByRole('textbox').press('Enter');
  await expect(seen.getByText('Juno Marlock: Waits on the heels')).toBeVisible();
  await seen.getByRole('button', { name: 'Cass Ondry' }).click();
  await seen.getByRole('button', { name: 'detour' }).click();
  await seen.getByRole('button', { name: 'Take back: Cass Ondry: detour' }).click();
  await expect(seen.getByText('Cass Ondry: detour')).toBeHidden();
  await expectSound(page);

  await page.getByRole('button', { name: 'Somebody leaves or comes' }).click();
  await page.getByRole('button', { name: 'Wren Hallowby is here' }).click();
  await page.getByRole('button', { name: 'End the session' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('8 there');
  await page.getByRole('radiogroup').getByText('6', { exact: true }).click();
  const hard = page.getByRole('button', { name: /How hard it was for Oskar Tvedmoor/ });
  await expect(hard).toContainText('6');
  await hard.click();
  await page.getByRole('option', { name: '9', exact: true }).click();
  await expectSound(page);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('How hard it was: 6 to 9 of 10.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('all sent')).toBeVisible();

  await page.reload();
  await expect(page.getByText('How hard it was: 6 to 9 of 10.')).toBeVisible();
  await expect(page.getByText('Juno Marlock: flat feet')).toBeVisible();
  await expectSound(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await page.setViewportSize({ width: 1280, height: 800 });

  // When the next one is planned it is known; so it is on her page.
  await page.getByRole('link', { name: 'All sessions' }).click();
  await page.getByRole('button', { name: 'Copy A squad at two stations to a week later' }).click();
  await page.getByRole('link', { name: 'A squad at two stations', exact: true }).first().click();
  await expect(
    page.getByText(/^Juno Marlock, last time .*flat feet; Waits on the heels$/),
  ).toBeVisible();
  // A draft names who it is for, and can be taken back.
  await page.getByRole('button', { name: 'Draft it from where they stand' }).click();
  await expect(page.getByRole('row', { name: /Flat feet: Juno/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /Flat feet: Juno/ })).toBeHidden();
  await page.goto('/people');
  await page.getByRole('link', { name: 'Juno Marlock' }).first().click();
  await expect(page.getByText('Waits on the heels')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Weeks, the newest last' })).toBeVisible();

  // It was not held after all.
  await page.getByRole('navigation').getByRole('link', { name: 'Plan' }).click();
  await page
    .locator('#held')
    .getByRole('link', { name: /^today: A squad at two stations/ })
    .click();
  await page.getByRole('button', { name: 'Take it away: it was not held' }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('How hard it was: 6 to 9 of 10.')).toBeVisible();
});
