import { chromium } from '@playwright/test';
import { CHROMIUM } from './packages.mjs';

/** Steps per hour: forwards for the first half, then back. */
const STEPS_AN_HOUR = 180;
const BETWEEN_MS = 40;

/**
 * A film of the demo club, open on some device at a server while other things happen there.
 * @typedef {{
 *   work: () => Promise<void>,
 *   pids: () => Promise<number[]>,
 *   close: () => Promise<void>,
 * }} OpenFilm
 *   `work`: an hour's work on it, hurried; `pids`: the processes its pages are in.
 */

/** @param {import('@playwright/test').Page} page @param {string} address */
async function hearCues(page, address) {
  await page.goto(`${address}/film`);
  await page.getByRole('button', { name: /Athlete$/ }).click();
  await page.getByRole('option', { name: 'Idris Fennimar' }).click();
  await page.getByRole('listitem').getByRole('link').first().click();
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await page.getByText('cues heard in the film').waitFor({ timeout: 120_000 });
}

/**
 * Opens the shipped film in a browser of its own, and waits until its cues were found.
 * @param {string} address
 * @returns {Promise<OpenFilm>}
 */
export async function openFilm(address) {
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  try {
    await hearCues(page, address);
  } catch (error) {
    await browser.close();
    throw error;
  }
  const frame = page.locator('canvas[data-frame]').first();
  return {
    async work() {
      const before = await frame.getAttribute('data-frame');
      for (let step = 0; step < STEPS_AN_HOUR; step++) {
        const isOn = step < STEPS_AN_HOUR / 2;
        await page.keyboard.press(isOn ? 'Shift+ArrowRight' : 'Shift+ArrowLeft');
        await page.waitForTimeout(BETWEEN_MS);
        // Marks an event now and then, like somebody who looks at one rep after the other.
        if (step % 30 === 29) await page.keyboard.press('a');
        if (step === STEPS_AN_HOUR / 3 && (await frame.getAttribute('data-frame')) === before)
          throw new Error('The film was not gone through.');
      }
      await page.keyboard.press('BracketRight');
    },
    async pids() {
      const session = await browser.newBrowserCDPSession();
      const { processInfo } = await session.send('SystemInfo.getProcessInfo');
      await session.detach();
      return processInfo.filter(({ type }) => type === 'renderer').map(({ id }) => id);
    },
    close: () => browser.close(),
  };
}
