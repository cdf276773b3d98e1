import type { Page } from '@playwright/test';
import { untouchedTest as test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

test.setTimeout(300_000);

const TIMES = 12;
/** A club's tablet has about a quarter of this processor. */
const SLOWER = 4;

/** Script that has come so far as it was sent (packed, without headers), kB. */
const scriptKb = (page: Page): Promise<number> =>
  page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((entry): entry is PerformanceResourceTiming => entry.name.endsWith('.js'))
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize / 1000, 0),
  );

/** Opens the first page; when its lines stood there, and when anything was drawn, ms. */
async function openSquad(page: Page): Promise<{ linesMs: number; drawnMs: number }> {
  await page.goto('/');
  // Looked for by the page itself at every redraw: a locator looks twice a second.
  const lines = await page.waitForFunction(
    () =>
      [...document.links].some(({ textContent }) => textContent.includes('Wren Hallowby')) &&
      performance.now(),
    null,
    { polling: 'raf' },
  );
  const linesMs = Number(await lines.jsonValue());
  const drawnMs = await page.evaluate(
    () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
  );
  return { linesMs, drawnMs };
}

test('the first view, by a four times slower processor that has nothing of the app yet', async ({
  browser,
  untouched,
}) => {
  const taken = watchMachine();
  const drawn: number[] = [];
  const lines: number[] = [];
  const settled: number[] = [];
  for (let n = 0; n < TIMES; n++) {
    const context = await browser.newContext({ baseURL: untouched.address });
    // The other places, and the means to look for somebody, are fetched when the page is at rest.
    await context.addInitScript(() => {
      window.requestIdleCallback = () => 0;
    });
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    const { linesMs, drawnMs } = await openSquad(page);
    lines.push(linesMs);
    drawn.push(drawnMs);
    await page.waitForTimeout(500);
    settled.push(await scriptKb(page));
    await context.close();
  }
  console.log(figures('first content', drawn));
  console.log(figures('the squad stands there', lines), taken());
  console.log(figures('script of the first page', settled, 'kB'));
});

test('the same from the device, with nobody answering', async ({ browser, untouched }) => {
  const context = await browser.newContext({
    ...{ baseURL: untouched.address, serviceWorkers: 'allow' },
  });
  const page = await context.newPage();
  await page.goto('/device');
  await page
    .getByRole('heading', { name: 'Everything here opens without a network' })
    .waitFor({ timeout: 120_000 });
  await untouched.stop();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const taken = watchMachine();
  const drawn: number[] = [];
  const lines: number[] = [];
  for (let n = 0; n < TIMES; n++) {
    const { linesMs, drawnMs } = await openSquad(page);
    lines.push(linesMs);
    drawn.push(drawnMs);
  }
  console.log(figures('first content, from the device', drawn));
  console.log(figures('the squad stands there, from the device', lines), taken());
  await context.close();
});
