import { resolve } from 'node:path';
import { test, type Page } from '@playwright/test';
import { Coach } from '../stories/support/coach.js';

const FOLDER = resolve(import.meta.dirname, '../../docs/screenshots');
const DESK = { width: 1280, height: 800 };
const TABLET = { width: 820, height: 1180 };
const PHONE = { width: 390, height: 844 };

const shoot = (page: Page, name: string, fullPage = false) =>
  page.screenshot({ path: `${FOLDER}/${name}.png`, fullPage });

/** Far enough into a rep for the athlete to be on the way. */
const ON_THE_WAY_MS = 800;

test('squad, floor and review', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('listitem').first().waitFor();
  await shoot(page, 'squad');

  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 12, seed: 5 });
  await page.getByRole('button', { name: 'Start the set' }).waitFor();
  await shoot(page, 'set-up');
  await coach.start();
  await coach.cue(4);
  await page.waitForTimeout(ON_THE_WAY_MS);
  await shoot(page, 'drill');
  await coach.finished(12);
  await coach.seeReview();
  await shoot(page, 'review', true);
  await page.emulateMedia({ colorScheme: 'dark' });
  await shoot(page, 'review-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await page.setViewportSize(PHONE);
  await shoot(page, 'review-phone');
  await page.goto('/');
  await page.getByRole('listitem').first().waitFor();
  await shoot(page, 'squad-phone');
});

for (const [name, size] of [
  ['drill-by-hand', DESK],
  ['drill-tablet', TABLET],
  ['drill-phone', PHONE],
] as const) {
  test(name, async ({ page }) => {
    await page.setViewportSize(size);
    const coach = new Coach(page);
    await coach.goToFloor('Idris Fennimar', { reps: 10, seed: 8 });
    await coach.start();
    for (const rep of [1, 2, 3]) await coach.playRep(rep, [200, 800, 1000]);
    await coach.cue(4);
    await page.keyboard.press('Space');
    await page.waitForTimeout(200);
    await shoot(page, name);
  });
}
