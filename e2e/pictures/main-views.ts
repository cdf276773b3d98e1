import { resolve } from 'node:path';
import { test, type Page } from '@playwright/test';
import { Coach, openPattern } from '../stories/support/coach.js';

const FOLDER = resolve(import.meta.dirname, '../../docs/screenshots');
const DESK = { width: 1280, height: 800 };
const TABLET = { width: 820, height: 1180 };
const PHONE = { width: 390, height: 844 };
/** An A4 page at 96 dots an inch, less its margins. */
const A4 = { width: 718, height: 1047 };

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

test('patterns', async ({ page }) => {
  await page.goto('/patterns');
  await page.getByRole('listitem').first().waitFor();
  await shoot(page, 'patterns');
  await openPattern(page, 'Star from the T');
  await page.getByRole('heading', { name: 'Markers' }).waitFor();
  const studio = page.url();
  await shoot(page, 'studio-floor');
  await page.goto(`${studio}?leg=C`);
  await page.getByRole('article', { name: 'Load' }).waitFor();
  await shoot(page, 'studio');
  await page.goto(`${studio}/set-out`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize(A4);
  await shoot(page, 'set-out-sheet');
  await page.goto(`${studio}/cards/C`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await shoot(page, 'position-cards');
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
