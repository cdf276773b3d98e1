import { expect, type Browser, type Page } from '@playwright/test';
import { Coach, timeOf } from './support/coach.js';
import { test } from './support/served.js';
import { expectSound } from './support/sound.js';

interface Seen {
  readonly letter: string;
  readonly atMs: number;
}

/** Notes on which frame each cue came, on the time of day of the page. */
const witnessCues = () => {
  const seen: { letter: string; atMs: number }[] = [];
  Object.assign(window, { seen });
  let last = '';
  requestAnimationFrame(function look(at) {
    const letter = document.querySelector<HTMLElement>('[data-testid=cue]')?.dataset['cue'] ?? '';
    if (letter && letter !== last) seen.push({ letter, atMs: performance.timeOrigin + at });
    last = letter;
    requestAnimationFrame(look);
  });
};

const cuesSeen = (page: Page): Promise<Seen[]> =>
  page.evaluate(() => (window as unknown as { seen: Seen[] }).seen);

/** Another device joins by the code of the coach's. */
async function join(browser: Browser, baseURL: string, code: string, as: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL });
  const page = await context.newPage();
  await page.addInitScript(witnessCues);
  await page.goto('/join');
  await page.getByRole('textbox', { name: 'Code' }).fill('abc');
  await page.getByRole('button', { name: 'Join' }).click();
  await expect(page.getByRole('alert')).toContainText('a code has 6 letters and figures');
  await expectSound(page);
  await page.getByRole('textbox', { name: 'Code' }).fill(code.toLowerCase());
  await page.getByRole('button', { name: 'Join' }).click();
  await page.getByRole('button', { name: as }).click();
  return page;
}

async function codeOf(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Second screen' }).click();
  const code = (await page.getByRole('dialog').locator('strong').textContent()) ?? '';
  await expect(page.getByText('No screen has joined yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  return code;
}

test(
  'a phone shows each cue together with the drill’s screen; it comes and goes without stopping the set',
  { tag: ['@exact', '@thorough'] },
  async ({ page, browser, served }) => {
    await page.addInitScript(witnessCues);
    const coach = new Coach(page);
    await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 5 });
    const code = await codeOf(page);
    const phone = await join(browser, served.address, code, 'Show the cues');
    await expect(phone.getByRole('heading', { name: 'Joined.' })).toBeVisible();
    await coach.start();
    await expect(phone.getByText('Amara Quill, Star from the T')).toBeVisible();
    await coach.finished(2);
    const there = await cuesSeen(phone);
    const here = await cuesSeen(page);
    expect(there.length).toBeGreaterThanOrEqual(2);
    const apart = there.slice(0, 2).map(({ letter, atMs }) => {
      const same = here.find((cue) => cue.letter === letter && Math.abs(cue.atMs - atMs) < 1000);
      expect(same, `${letter} on both screens`).toBeDefined();
      return Math.abs((same?.atMs ?? NaN) - atMs);
    });
    // Two browsers on one small machine: a frame may come late, the clocks must not be apart.
    expect(Math.min(...apart)).toBeLessThan(50);
    expect(Math.max(...apart)).toBeLessThan(200);
    await phone.close();
    await coach.finished(3);
    const again = await join(browser, served.address, code, 'Show the cues');
    await coach.finished(5);
    await expect(again.getByText('Set done')).toBeVisible();
    const { reps } = await coach.seeReview();
    expect(reps).toHaveLength(5);
    await expect(again.getByRole('heading', { name: 'Joined.' })).toBeVisible();
  },
);

test('a partner calls from a phone, and a coach times from a tablet @thorough', async ({
  page,
  browser,
  served,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Oskar Tvedmoor', { reps: 2 });
  await coach.choose('Order', 'called by a person');
  const code = await codeOf(page);
  const partner = await join(browser, served.address, code, 'Call the targets');
  const panel = await join(browser, served.address, code, 'Be the coach’s panel');
  await coach.start();
  for (const letter of ['A', 'B']) {
    await partner.getByRole('button', { name: new RegExp(`^Call ${letter},`) }).click();
    await expect(panel.locator(`[data-cue=${letter}]`)).toBeVisible();
    for (const words of ['First move', 'Action', 'Home']) {
      await panel.waitForTimeout(250);
      await panel.getByRole('button', { name: new RegExp(`^${words}`) }).click();
    }
  }
  await coach.finished(2);
  // The last times are there for a coach who does not see the drill's screen.
  await expect(panel.getByText(/^Rep \d, B \d\.\d\d · home \d\.\d\d\ss$/)).toBeVisible();
  await panel.getByRole('button', { name: 'Strike out, or put back' }).click();
  const { reps } = await coach.seeReview();
  expect(reps.map(({ target }) => target).join('')).toBe('ABB');
  expect(reps.at(-1)?.struckOut).toBe(true);
  for (const rep of reps) {
    const reaction = timeOf(rep, 'firstMove') - timeOf(rep, 'cue');
    expect(reaction).toBeGreaterThan(100);
    expect(reaction).toBeLessThan(2500);
    const press = rep.events.find(({ name }) => name === 'action');
    // A press that came over the air is less sure than one made here.
    expect(press?.sdMs).toBeGreaterThanOrEqual(45);
  }
});
