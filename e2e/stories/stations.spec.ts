import { expect, type Browser, type Page } from '@playwright/test';
import { Coach } from './support/coach.js';
import { hurry } from './support/hurry.js';
import { planAnHour } from './support/plan.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

/** Another device joins the session by its code. */
async function join(browser: Browser, baseURL: string, code: string, as: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, baseURL });
  const page = await context.newPage();
  await page.addInitScript(hurry, 4);
  await page.goto(`/join/${code}`);
  await page.getByRole('button', { name: as }).click();
  return page;
}

test('two stations time at once on devices of their own, with a board and one panel over both; the sets lie in the session @thorough', async ({
  page,
  browser,
  untouched,
}) => {
  test.slow();
  await planAnHour(page);
  await page.getByRole('link', { name: 'Begin' }).click();
  for (let block = 0; block < 3; block++)
    await page.getByRole('button', { name: 'Next block' }).click();
  await page.getByRole('button', { name: 'Again from its start' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: 'Second screen' }).click();
  const code = (await page.getByRole('dialog').locator('strong').textContent()) ?? '';
  await expectSound(page);
  await page.getByRole('button', { name: 'Close' }).click();

  const other = (as: string) => join(browser, untouched.address, code, as);
  const board = await other('Show the board');
  await expect(board.getByText('Amara Quill', { exact: true })).toBeVisible();
  await expect(board.getByText('Next: Idris Fennimar, Juno Marlock')).toBeVisible();
  await expectSound(board);
  const first = await other('Be at station 1');
  const stations = [first, await other('Be at station 2')];
  const panel = await other('Be the panel over all stations');
  const own = (n: number) => panel.getByRole('region', { name: `Station ${n}` });
  await expect(own(2).getByText('No set runs there now.')).toBeVisible();
  for (const station of stations) await expectSound(station);

  // Each station's set is a press away; both are under way at once, and the panel presses into
  // either. It holds them while it is looked at: on a busy machine a set would be over by then.
  const names = ['Amara Quill', 'Cass Ondry'];
  for (const [i, station] of stations.entries()) {
    await station.getByRole('button', { name: `Time ${names[i]} on the floor` }).click();
    await expect(station.getByRole('heading', { name: /ready when you are/ })).toBeVisible();
    const coach = new Coach(station);
    await coach.timeBy('The simulated athlete');
    await coach.fill('Reps', '8');
    await coach.start();
    await own(i + 1)
      .getByRole('button', { name: 'Pause' })
      .click();
    await expect(station.getByRole('button', { name: /^Go on/ })).toBeVisible();
  }
  for (const n of [1, 2]) {
    await expect(own(n).getByRole('heading', { name: names[n - 1] ?? '' })).toBeVisible();
    await expect(own(n).getByText(/ of 8 done$/)).toBeVisible();
  }
  await expectSound(panel);
  for (const n of [1, 2]) await own(n).getByRole('button', { name: 'Go on' }).click();
  for (const station of stations) {
    const coach = new Coach(station);
    await coach.finished(8);
    await coach.seeReview();
  }

  // Whoever works next is known at the station, though its device was elsewhere.
  await page.getByRole('button', { name: 'Next block' }).click();
  await expect(board.getByRole('heading', { name: 'Pattern with action' })).toBeVisible();
  await first.getByRole('link', { name: 'To station 1' }).click();
  await expect(first.getByText('Nothing is timed in this block.')).toBeVisible();
  await page.getByRole('button', { name: 'End the session' }).click();
  await expect(board.getByText('The session is over.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  for (const name of names)
    await expect(page.getByRole('row', { name: new RegExp(name) }).first()).toBeVisible();
  await expect(page.getByText(/Cued drill/).first()).toBeVisible();
});

test('a game of teams and one of catching are refereed; what was reached is kept in what it is counted in @thorough', async ({
  page,
}) => {
  await planAnHour(page);
  await page.getByRole('button', { name: /Add a block$/ }).click();
  await page.getByRole('option', { name: 'Game to a score' }).click();
  await page.getByRole('button', { name: /How it is played$/ }).click();
  await page.getByRole('option', { name: 'teams' }).click();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Next block' }).click();
  await page.getByRole('button', { name: 'Make the teams' }).click();
  const team = (n: number) => page.getByRole('region', { name: `Team ${n}` });
  for (const key of ['1', '1', '2']) await page.keyboard.press(key);
  await team(2).getByRole('button', { name: 'One point less for team 2' }).click();
  await expect(team(1).getByRole('status')).toHaveText('2');
  await expect(team(2).getByRole('status')).toHaveText('0');
  await page.getByRole('button', { name: 'Make teams anew' }).click();
  await expect(team(1).getByRole('status')).toHaveText('0');
  await page.getByRole('button', { name: 'Back to the teams before' }).click();
  await expectSound(page);
  await page.reload();
  await expect(team(1).getByRole('status')).toHaveText('2');

  for (let block = 0; block < 2; block++)
    await page.getByRole('button', { name: 'Next block' }).click();
  await expect(page.getByText(/^Face each other/)).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText('Press whoever missed; then:')).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: 'Amara Quill catches from 100 cm' }).click();
  await expect(page.getByRole('button', { name: 'Amara Quill missed from 100 cm' })).toBeVisible();
  await page.getByRole('button', { name: 'Change over' }).click();
  await expect(
    page.getByText(/^Farthest: Amara Quill 0\scm, Idris Fennimar 100\scm/),
  ).toBeVisible();
  await expect(page.getByText('Cass Ondry catches from 100 cm')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await expectSound(page);
  await page.getByRole('button', { name: 'End the session' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/Idris Fennimar 100\scm/)).toBeVisible();
});
