import { expect } from '@playwright/test';
import { planAnHour } from './support/plan.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

test.use({ fetchesAhead: true });

test('a session is kept though the network goes: who was there, how hard it was, what was seen; next time it is known @thorough', async ({
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

test('a challenge is counted by key, a game of pairs is refereed; what was reached is kept and known next time @thorough', async ({
  page,
}) => {
  await planAnHour(page);
  for (const block of ['How many in the time', 'Game to a score']) {
    await page.getByRole('button', { name: /Add a block$/ }).click();
    await page.getByRole('option', { name: block }).click();
  }
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const run = async () => {
    await page.getByRole('link', { name: 'Begin' }).click();
    await page.getByRole('button', { name: 'Next block' }).click();
    await expect(page.getByRole('heading', { name: 'How many in the time' })).toBeVisible();
  };
  await run();
  const count = page.getByRole('status', { name: 'Count of Amara Quill' });
  for (let n = 0; n < 3; n++) await page.keyboard.press('1');
  await page.getByRole('button', { name: 'One more for Amara Quill' }).click();
  await page.getByRole('button', { name: 'One less for Amara Quill' }).click();
  await expect(count).toHaveText('3');
  await page.reload();
  await expect(count).toHaveText('3');
  await expectSound(page);

  await page.getByRole('button', { name: 'Next block' }).click();
  await page.getByRole('button', { name: 'Pair them up' }).click();
  const court = (n: number) => page.getByRole('region', { name: `Court ${n}`, exact: true });
  await expect(page.getByRole('button', { name: 'Next round' })).toBeDisabled();
  for (const [n, won] of [
    'Cass Ondry',
    'Idris Fennimar',
    'Lotte Brandvane',
    'Rafe Lindhollow',
  ].entries())
    await court(n + 1)
      .getByRole('button', { name: won })
      .click();
  await page.getByRole('button', { name: 'Next round' }).click();
  await expect(court(1).getByRole('button', { name: 'Idris Fennimar' })).toBeVisible();
  await expect(court(2).getByRole('button', { name: 'Amara Quill' })).toBeVisible();
  await expect(page.getByText(/^One round played\. Won: /)).toContainText('Cass Ondry 1');
  await expectFits(page);
  await expectSound(page);
  await page.getByRole('button', { name: 'End the session' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Nobody was asked how hard it was.')).toBeVisible();

  await page.getByRole('link', { name: 'Its plan' }).click();
  await run();
  await expect(page.getByText('Best so far 3, last time 3.')).toBeVisible();
});
