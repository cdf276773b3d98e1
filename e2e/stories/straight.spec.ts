import { expect } from '@playwright/test';
import { newDevice } from './support/accounts.js';
import { Coach } from './support/coach.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

test.use({ fetchesAhead: true, actionTimeout: 20_000 });

test('the drill and a phone in one network stay together when the server goes in the middle of a set @thorough', async ({
  page,
  browser,
  untouched,
}) => {
  test.slow();
  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 12 });
  await page.getByRole('button', { name: 'Second screen' }).click();
  const dialog = page.getByRole('dialog');
  const code = (await dialog.locator('strong').textContent()) ?? '';
  const phone = await newDevice(browser, untouched.address);
  await phone.goto(`/join/${code}`);
  await phone.getByRole('button', { name: 'Be the coach’s panel' }).click();
  await expect(dialog.getByText('they stay together: they are in one network')).toBeVisible();
  await expectSound(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Close' }).click();
  await coach.start();
  await coach.finished(2);
  await untouched.stop();
  const before = await coach.done();
  await coach.finished(before + 2);
  // What the phone shows goes on, and what is pressed there is done here.
  await expect(
    phone.getByText(new RegExp(`${before + 2} of 12|rep ${before + 2}`)).first(),
  ).toBeVisible();
  await phone.getByRole('button', { name: /^Pause/ }).click();
  await expect(page.getByRole('heading', { name: /^Paused after/ })).toBeVisible();
  await phone.getByRole('button', { name: /^Go on/ }).click();
  await expect(page.getByTestId('cue')).toBeVisible();
  await coach.finished(12);
  await untouched.restart();
  const stored = () =>
    untouched.read<{ n: string }>(
      `select count(*) as n from rep r join drill_set s on s.id = r.set_id
       where s.started_at > now() - interval '10 minutes'`,
    );
  await expect.poll(async () => Number((await stored())[0]?.n), { timeout: 30_000 }).toBe(12);
});
