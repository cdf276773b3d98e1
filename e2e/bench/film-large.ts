import { readFileSync, statSync } from 'node:fs';
import { expect, type Browser, type Page } from '@playwright/test';
import { test } from '../stories/support/served.js';
import { firstFrame } from './support/first-frame.js';
import { watchMachine } from './support/machine.js';

/** A film as large as a phone's of a whole hour; how to make one stands in docs/measurement.md. */
const FILM = process.env['LARGE_FILM'] ?? '';
/** Steps of ten frames: through some minutes of film and back, as whoever marks a session goes. */
const STEPS = Number(process.env['LARGE_STEPS'] ?? 1500);
/** Minutes of marking at a person's pace; none unless they are asked for. */
const MINUTES = Number(process.env['LARGE_MINUTES'] ?? 0);
const GIGA = 2 ** 30;
const MEGA = 2 ** 20;
const KIB = 1024;

/** Memory of the browser's pages, bytes; what they share with others counts by halves, thirds, and so on. */
async function pagesBytes(browser: Browser): Promise<number> {
  const session = await browser.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  await session.detach();
  return processInfo
    .filter(({ type }) => type === 'renderer')
    .map(({ id }) => /^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${id}/smaps_rollup`, 'utf8'))?.[1])
    .reduce((sum, kib) => sum + KIB * Number(kib ?? 0), 0);
}

/** Says now and then how much memory the pages take, and in the end how much it was at the most. */
function memoryOf(browser: Browser) {
  let most = 0;
  return {
    async say(when: string): Promise<void> {
      const bytes = await pagesBytes(browser);
      most = Math.max(most, bytes);
      console.log(`${when}: ${(bytes / MEGA).toFixed(0)} MB`);
    },
    sayMost: () => console.log(`at the most ${(most / MEGA).toFixed(0)} MB`),
  };
}

/** Chooses the film; how long until its first frame is on the screen, ms. */
async function choose(page: Page): Promise<number> {
  await page.goto('/film');
  await page.getByRole('link', { name: 'Film of this pattern' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a film' }).click(),
  ]);
  const began = Date.now();
  await chooser.setFiles(FILM);
  await firstFrame(page);
  return Date.now() - began;
}

test('a film of a gigabyte is opened and gone through', async ({ page, browser }) => {
  test.skip(FILM === '', 'LARGE_FILM names no file.');
  test.setTimeout(1_800_000);
  const taken = watchMachine();
  const firstMs = await choose(page);
  console.log(
    `${(statSync(FILM).size / GIGA).toFixed(2)} GB: first frame after ${firstMs} ms (${taken()})`,
  );
  const frame = page.locator('canvas[data-frame]');
  const memory = memoryOf(browser);
  for (let step = 0; step < STEPS; step++) {
    const before = await frame.getAttribute('data-frame');
    await page.keyboard.press(step % 500 < 300 ? 'Shift+ArrowRight' : 'Shift+ArrowLeft');
    await expect(frame).not.toHaveAttribute('data-frame', before ?? '');
    if (step % 100 === 0) await memory.say(`after ${step} steps`);
  }
  memory.sayMost();
});

/** Looks for the cue and the arrival of a rep as a person does, plays it again, and now and then takes a clip along. */
async function markRep(page: Page, round: number): Promise<void> {
  const press = async (key: string, presses: number, pauseMs: number) => {
    for (let n = 0; n < presses; n++) {
      await page.keyboard.press(key);
      await page.waitForTimeout(pauseMs);
    }
  };
  await press('Shift+ArrowRight', 5 + (round % 7), 300);
  await press('ArrowLeft', 6, 250);
  await page.keyboard.press('q');
  await press('Shift+ArrowRight', 6, 300);
  await press('ArrowRight', 8, 200);
  await page.keyboard.press('a');
  await page.keyboard.press('Space');
  await page.waitForTimeout(5000);
  await page.keyboard.press('Space');
  if (round % 4 === 0) {
    const [clip] = await Promise.all([
      page.waitForEvent('download', { timeout: 120_000 }),
      page.getByRole('button', { name: /^This rep as a clip/ }).click(),
    ]);
    await clip.delete();
  }
  // As far back as twelve of these go on: the film does not end.
  if (round % 12 === 11) await press('Shift+ArrowLeft', 200, 50);
}

test('a film of a gigabyte is marked for a long while', async ({ page, browser }) => {
  test.skip(FILM === '' || MINUTES === 0, 'LARGE_FILM names no file, or LARGE_MINUTES no time.');
  test.setTimeout((MINUTES + 10) * 60_000);
  await choose(page);
  const began = Date.now();
  const memory = memoryOf(browser);
  for (let round = 0; Date.now() - began < MINUTES * 60_000; round++) {
    await markRep(page, round);
    const minute = ((Date.now() - began) / 60_000).toFixed(1);
    await memory.say(`minute ${minute}, ${round + 1} reps`);
  }
  memory.sayMost();
});
