import { expect, type Browser, type Page } from '@playwright/test';
import { wholeChromium } from '../chromium.js';
import { Coach } from './support/coach.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

test.use({ launchOptions: wholeChromium });

/** A set with cues only is made ready, and a phone joins it as its camera. */
async function withCamera(page: Page, browser: Browser, baseURL: string, reps: number) {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar', { reps });
  await coach.timeBy('Cues only');
  await page.getByRole('button', { name: 'Second screen' }).click();
  const code = (await page.getByRole('dialog').locator('strong').textContent()) ?? '';
  await page.getByRole('button', { name: 'Close' }).click();
  const context = await browser.newContext({
    ...{ viewport: { width: 390, height: 844 }, baseURL },
    permissions: ['camera', 'microphone'],
  });
  const phone = await context.newPage();
  await phone.goto(`/join/${code}`);
  await phone.getByRole('button', { name: 'Film it' }).click();
  await expect(phone.getByLabel('What the camera sees')).toBeVisible();
  return { coach, context, phone };
}

test('a phone joins as camera: each set is filmed by itself, kept there, and opened to be marked @thorough', async ({
  page,
  browser,
  untouched,
}) => {
  const { coach, context, phone } = await withCamera(page, browser, untouched.address, 2);
  await expect(phone.getByText('It films by itself when a set begins.')).toBeVisible();
  await expectSound(phone);
  await coach.start();
  await expect(phone.getByText('Filming Idris Fennimar.')).toBeVisible();
  await coach.finished(2);
  await coach.seeReview();
  await expect(phone.getByText(/^Idris Fennimar, \d+\sMB$/)).toBeVisible({ timeout: 20_000 });
  const [saved] = await Promise.all([
    phone.waitForEvent('download'),
    phone.getByRole('button', { name: 'Save the film' }).click(),
  ]);
  expect(saved.suggestedFilename()).toMatch(/^idris-fennimar\.(webm|mp4)$/);
  // On that phone it opens in the film room, tied to its set; this camera hears no hall.
  await phone.getByRole('link', { name: 'Mark it here' }).click();
  await expect(phone.locator('canvas[data-frame]:not([data-frame=""])')).toBeVisible({
    timeout: 30_000,
  });
  await expect(phone.getByText('frames a second')).toBeVisible({ timeout: 30_000 });
  await context.close();
});

test('a phone that dies while it films keeps what it filmed so far @thorough', async ({
  page,
  browser,
  untouched,
}) => {
  const { coach, context, phone } = await withCamera(page, browser, untouched.address, 3);
  await coach.start();
  await expect(phone.getByText('Filming Idris Fennimar.')).toBeVisible();
  // A second and more of it: it is kept piece by piece, a second each.
  await phone.waitForTimeout(3500);
  await phone.close({ runBeforeUnload: false });
  await coach.finished(3);
  await coach.seeReview();
  const later = await context.newPage();
  await later.goto('/film');
  await later.getByRole('link', { name: /^idris-fennimar\.(webm|mp4), 1\sMB$/ }).click();
  await expect(later.locator('canvas[data-frame]:not([data-frame=""])')).toBeVisible({
    timeout: 30_000,
  });
  await context.close();
});

test('where no camera is allowed that is said, and what to do @thorough', async ({
  browser,
  untouched,
}) => {
  const context = await browser.newContext({ baseURL: untouched.address, permissions: [] });
  const phone = await context.newPage();
  await phone.goto('/join/ACDEFH');
  await phone.getByRole('button', { name: 'Film it' }).click();
  await expect(phone.getByText(/The camera was not allowed|No camera was found/)).toBeVisible();
  await context.close();
});
