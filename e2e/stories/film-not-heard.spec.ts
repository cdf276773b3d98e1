import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { eventOf } from '@orthokin/core/timing';
import {
  chooseFilm,
  FRAME_MS,
  frameShown,
  openDemoSet,
  REPS,
  sendCuesOnly,
  shownMs,
  stepTo,
  truthOf,
} from './support/film.js';
import { test, untouchedTest } from './support/served.js';
import { expectSound } from './support/sound.js';

/** The made-up camera films from so long before the first cue. */
const BEFORE_MS = 1500;
/** Whoever looks for a cue marks it up to so much wrong. */
const SEEN_MS = 2 * FRAME_MS;

/** Steps to a frame by its number: before a film is tied, nothing has a time from the cue. */
async function stepToFrame(page: Page, wanted: number): Promise<void> {
  for (let now = await frameShown(page); now !== wanted; now = await frameShown(page)) {
    const far = Math.abs(wanted - now) >= 10;
    await page.keyboard.press(`${far ? 'Shift+' : ''}Arrow${now < wanted ? 'Right' : 'Left'}`);
    await expect.poll(() => frameShown(page)).not.toBe(now);
  }
}

test('cues that were spoken are not heard in the film: the first and the last marked by hand tie it, and times count from there @thorough', async ({
  page,
}) => {
  test.slow();
  const untimed = await sendCuesOnly(page, 'spoken');
  await page.goto(`/film/${untimed.set.id}`);
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await expect(page.getByText('The cues could not be heard (no tone found).')).toBeVisible({
    timeout: 90_000,
  });
  await expect(page.getByRole('button', { name: /^Arrived/ })).toBeDisabled();
  await expectSound(page);

  const truth = truthOf(untimed);
  const cuesMs = truth.map(({ events }) => eventOf([...events], 'cue')?.atMs ?? NaN);
  const firstMs = cuesMs[0] ?? NaN;
  for (const place of [0, REPS - 1]) {
    await page.getByRole('button', { name: new RegExp(`^Rep ${place + 1},`) }).click();
    const seenMs = (cuesMs[place] ?? NaN) - firstMs + BEFORE_MS;
    await stepToFrame(page, Math.ceil(seenMs / FRAME_MS));
    await page.keyboard.press('q');
  }
  await expect(page.getByText(/^Tied to the set by two cues that you marked/)).toBeVisible();

  // A rep of which no cue was marked is timed all the same.
  const second = truth[1];
  await page.getByRole('button', { name: /^Rep 2,/ }).click();
  const arrivedMs =
    (eventOf([...(second?.events ?? [])], 'arrival')?.atMs ?? NaN) - (cuesMs[1] ?? NaN);
  await stepTo(page, arrivedMs);
  expect(Math.abs((await shownMs(page)) - arrivedMs)).toBeLessThan(SEEN_MS);
  await page.keyboard.press('a');
  await expect(page.getByRole('button', { name: /^Arrived A \+\d/ })).toBeVisible();
});

untouchedTest(
  'the film of another set is noticed: its cues do not fall into place @thorough',
  async ({ page }) => {
    await openDemoSet(page, 1);
    const buffer = readFileSync('apps/web/src/film/simulate/demo-film.webm');
    await chooseFilm(page, { name: 'another.webm', mimeType: 'video/webm', buffer });
    await expect(page.getByText(/^The cues could not be heard \(\d+ tones found\)/)).toBeVisible({
      timeout: 60_000,
    });
    await expect(page.getByText('If this is the film of another set')).toBeVisible();
  },
);
