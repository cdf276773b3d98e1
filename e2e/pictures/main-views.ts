import { resolve } from 'node:path';
import type { Page } from '@playwright/test';
import { Coach, openPattern } from '../stories/support/coach.js';
import { test } from '../stories/support/served.js';

const FOLDER = resolve(import.meta.dirname, '../../docs/screenshots');
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
  // It comes a moment after those who need the coach.
  await page.getByRole('searchbox', { name: 'Find an athlete' }).waitFor();
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
});

test('a drill that is stopped', async ({ page }) => {
  await page.goto('/patterns');
  const star = page.getByRole('listitem').filter({ hasText: 'Star from the T' }).first();
  await star.waitFor();
  const href = (await star.getByRole('link').first().getAttribute('href')) ?? '';
  await page.goto('/');
  await page.getByRole('link', { name: 'Start a drill with Lotte Brandvane' }).click();
  await page.getByRole('button', { name: 'Start the set' }).waitFor();
  await page.goto(`${page.url()}?pattern=${href.split('/').at(-1) ?? ''}`);
  await page.getByRole('button', { name: /^Only / }).waitFor();
  await shoot(page, 'stopped');
});

test.describe('the first opening', () => {
  test.use({ storageState: { cookies: [], origins: [] } });

  test('a club of one’s own, and who comes in', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Begin a club of your own' }).click();
    await page.getByLabel('Name of the club').fill('Harbour Lane');
    await page.getByLabel('Name', { exact: true }).fill('Nell Harrowby');
    await page.getByRole('button', { name: 'Begin, and go to the floor', exact: true }).click();
    await page.getByRole('heading', { name: /^Nell Harrowby, ready/ }).waitFor();
    await page.goto('/account');
    await page.getByRole('textbox', { name: 'Your name' }).fill('Ines Tarrow');
    await page.getByRole('textbox', { name: 'Email address' }).fill('ines@harbour-lane.example');
    await page.getByLabel('Password', { exact: true }).fill('quick feet, quiet head');
    await page.getByRole('button', { name: 'Make me its owner' }).click();
    await page.getByRole('button', { name: 'Invite somebody' }).click();
    await page.getByRole('textbox', { name: 'Who it is for' }).fill('Perrin Oakes');
    await page.getByRole('button', { name: 'Make the link' }).click();
    await page.getByRole('img', { name: 'Scan to open the invitation' }).waitFor();
    await shoot(page, 'account', true);
  });
});

test('the review over weeks', async ({ page }) => {
  await page.goto('/review');
  await page.getByRole('rowheader').first().waitFor();
  await shoot(page, 'glance');
  await page.getByRole('link', { name: 'Amara Quill' }).click();
  await page.getByRole('link', { name: 'Report to print' }).waitFor();
  await page.goto(`${page.url()}?duration=recovery`);
  await page
    .getByRole('img', { name: /by session/ })
    .locator('svg')
    .waitFor();
  await shoot(page, 'athlete');
  await page.goto('/review');
  await page.getByRole('link', { name: 'Lotte Brandvane' }).click();
  await page.getByRole('link', { name: 'Report to print' }).click();
  // The page before has the same chart.
  await page.getByRole('heading', { name: 'Lotte Brandvane', level: 1 }).waitFor();
  await page.setViewportSize(A4);
  await page.emulateMedia({ media: 'print' });
  await page.getByRole('heading', { name: 'Take care' }).waitFor();
  await shoot(page, 'report');
});

test('the ladder', async ({ page }) => {
  await page.goto('/');
  const line = page.getByRole('listitem').filter({ hasText: 'Amara Quill' });
  await line.locator('a[href^="/ladder"]').click();
  await page.getByRole('heading', { name: 'Evidence so far' }).waitFor();
  await shoot(page, 'ladder');
  await page.getByRole('link', { name: 'How much time is there?' }).click();
  await page
    .getByText(/own line says/)
    .first()
    .waitFor();
  await shoot(page, 'budget');
});

test('a session', async ({ page }) => {
  await page.goto('/plan');
  await page.getByRole('button', { name: 'A squad at two stations' }).click();
  await page.getByRole('button', { name: /Everyone of/ }).click();
  await page.getByRole('option', { name: 'everyone', exact: true }).click();
  await page.getByRole('button', { name: /Follow one/ }).click();
  await page.getByRole('option', { name: 'Cass Ondry' }).click();
  await page.getByText('saved', { exact: true }).waitFor();
  await shoot(page, 'plan', true);
  await page.getByRole('link', { name: 'Begin' }).click();
  for (let block = 0; block < 3; block++)
    await page.getByRole('button', { name: 'Next block' }).click();
  await page.getByText(/^Round 1 of/).waitFor();
  await page.getByRole('button', { name: 'Pause' }).click();
  await shoot(page, 'board');
  await page.getByRole('button', { name: 'End the session' }).click();
  await page.getByRole('button', { name: 'Leave without keeping it' }).click();
  await page.goto('/plan');
  await page.getByRole('button', { name: 'Begin six weeks by zones' }).click();
  await page.getByRole('button', { name: /Everyone of/ }).click();
  await page.getByRole('option', { name: 'everyone', exact: true }).click();
  await page.getByRole('button', { name: 'Mon', exact: true }).click();
  await page.getByRole('button', { name: 'Thu', exact: true }).click();
  await page.getByRole('button', { name: 'Put them in' }).click();
  await page.getByText('12 sessions put in.').waitFor();
  await page.reload();
  await page.getByText('17:00 One zone').first().waitFor();
  await shoot(page, 'weeks');
});

test('patterns', async ({ page }) => {
  await page.goto('/patterns');
  await page.getByRole('listitem').first().waitFor();
  await shoot(page, 'patterns');
  await openPattern(page, 'Star from the T');
  await page.getByRole('heading', { name: 'Markers' }).waitFor();
  const studio = page.url();
  await page.goto(`${studio}?leg=C`);
  await page.getByRole('article', { name: 'Load' }).waitFor();
  await shoot(page, 'studio');
});

test('a set marked on film', async ({ page }) => {
  await page.goto('/film');
  await page.getByRole('button', { name: /Athlete$/ }).click();
  await page.getByRole('option', { name: 'Cass Ondry' }).click();
  await page.waitForURL(/athlete=/);
  await page.getByRole('listitem').first().getByRole('link').click();
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await page.getByText('cues heard in the film').waitFor({ timeout: 120_000 });
  // The rep as the simulated athlete on film ran it, near enough for a picture.
  const marks: readonly (readonly [key: string, frames: number])[] = [
    ['KeyS', 3],
    ['KeyF', 17],
    ['KeyA', 62],
    ['KeyC', 10],
    ['KeyD', 8],
    ['KeyH', 64],
  ];
  for (const [key, frames] of marks) {
    for (let frame = 0; frame < frames; frame++) await page.keyboard.press('ArrowRight');
    await page.keyboard.press(key);
  }
  for (let step = 0; step < 8; step++) await page.keyboard.press('Shift+ArrowLeft');
  await page.getByRole('region', { name: 'Positions' }).locator('canvas').last().waitFor();
  await page.waitForTimeout(ON_THE_WAY_MS);
  await shoot(page, 'film', true);
});

test('a second screen', async ({ page, browser, served }) => {
  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 2, seed: 5 });
  await coach.choose('Add to the rota', 'Juno Marlock');
  await page.getByRole('button', { name: 'Second screen' }).click();
  const code = (await page.getByRole('dialog').locator('strong').textContent()) ?? '';
  const phone = await browser.newPage({ viewport: PHONE, baseURL: served.address });
  await phone.goto(`/join/${code}`);
  await phone.getByRole('button', { name: /coach’s panel/ }).click();
  await page.getByText('1 screen joined').waitFor();
  await page.getByRole('button', { name: 'Close' }).click();
  await coach.start();
  await coach.cue(2);
  await phone.locator('[data-testid=cue]:not([data-cue=""])').waitFor();
  await shoot(phone, 'panel-phone');
});

for (const [name, size] of [['drill-phone', PHONE]] as const) {
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
