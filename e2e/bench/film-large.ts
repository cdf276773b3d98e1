import { readFileSync, statSync } from 'node:fs';
import { expect, type Browser } from '@playwright/test';
import { test } from '../stories/support/served.js';
import { firstFrame } from './support/first-frame.js';
import { watchMachine } from './support/machine.js';

/** A film as large as a phone's of a whole hour; how to make one stands in docs/measurement.md. */
const FILM = process.env['LARGE_FILM'] ?? '';
/** Steps of ten frames: through some minutes of film and back, as whoever marks a session goes. */
const STEPS = Number(process.env['LARGE_STEPS'] ?? 1500);
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

test('a film of a gigabyte is opened and gone through', async ({ page, browser }) => {
  test.skip(FILM === '', 'LARGE_FILM names no file.');
  test.setTimeout(1_800_000);
  await page.goto('/film');
  await page.getByRole('link', { name: 'Film of this pattern' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a film' }).click(),
  ]);
  const taken = watchMachine();
  const began = Date.now();
  await chooser.setFiles(FILM);
  await firstFrame(page);
  const firstMs = Date.now() - began;
  console.log(
    `${(statSync(FILM).size / GIGA).toFixed(2)} GB: first frame after ${firstMs} ms (${taken()})`,
  );
  const frame = page.locator('canvas[data-frame]');
  let most = 0;
  for (let step = 0; step < STEPS; step++) {
    const before = await frame.getAttribute('data-frame');
    await page.keyboard.press(step % 500 < 300 ? 'Shift+ArrowRight' : 'Shift+ArrowLeft');
    await expect(frame).not.toHaveAttribute('data-frame', before ?? '');
    if (step % 100 > 0) continue;
    const bytes = await pagesBytes(browser);
    most = Math.max(most, bytes);
    console.log(`after ${step} steps: ${(bytes / MEGA).toFixed(0)} MB`);
  }
  console.log(`at the most ${(most / MEGA).toFixed(0)} MB`);
});
