import { expect, type CDPSession, type Page } from '@playwright/test';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { hurry } from '../stories/support/hurry.js';
import { test } from '../stories/support/served.js';

test.setTimeout(400_000);

/** So much faster the page's time goes. Quicker still, and a rep would be over within a frame. */
const FASTER = 12;
const MINUTES = 30;
/** By then everything that is loaded once has been. */
const WARM_MINUTES = 6;
const MOST_GROWTH_MB = 1.5;
const MOST_NEW_NODES = 150;

interface Used {
  readonly heapMb: number;
  readonly nodes: number;
  readonly listeners: number;
}

async function used(devtools: CDPSession): Promise<Used> {
  await devtools.send('HeapProfiler.collectGarbage');
  const { usedSize } = await devtools.send('Runtime.getHeapUsage');
  const { nodes, jsEventListeners } = await devtools.send('Memory.getDOMCounters');
  return { heapMb: usedSize / 2 ** 20, nodes, listeners: jsEventListeners };
}

const minutesIn = (page: Page, minutes: number) =>
  page.waitForFunction((ms) => performance.now() > ms, minutes * 60_000, {
    polling: 500,
    timeout: 390_000,
  });

test(`a soak of ${MINUTES} minutes of drills does not grow`, async ({ page }) => {
  await page.addInitScript(hurry, FASTER);
  await page.addInitScript(
    (kept) => localStorage.setItem('orthokin.drill-choices', kept),
    JSON.stringify({
      source: 'simulated',
      reps: 30,
      sets: 10,
      restRatio: 1,
      // The audio clock cannot be hurried: sounds would be planned for a time that never comes.
      conditions: { ...PLAIN_CONDITIONS, cueKinds: ['marker'] },
    }),
  );
  await page.goto('/');
  await page.getByRole('link', { name: 'Start a drill with Amara Quill' }).click();
  await page.getByRole('button', { name: 'Start the set' }).click();
  const devtools = await page.context().newCDPSession(page);
  await minutesIn(page, WARM_MINUTES);
  const before = await used(devtools);
  await minutesIn(page, MINUTES);
  const after = await used(devtools);
  const sets = await page.evaluate(async () => {
    const open = indexedDB.open('orthokin');
    await new Promise((done) => (open.onsuccess = done));
    const asking = open.result.transaction('drills').objectStore('drills').count();
    await new Promise((done) => (asking.onsuccess = done));
    return asking.result;
  });
  const line = ({ heapMb, nodes, listeners }: Used) =>
    `${heapMb.toFixed(1)} MB, ${nodes} nodes, ${listeners} listeners`;
  console.log(
    `soak: ${line(before)} after ${WARM_MINUTES} min; ${line(after)} after ${MINUTES} min and ${sets} sets`,
  );
  expect(sets).toBeGreaterThan(4);
  expect(after.heapMb - before.heapMb).toBeLessThan(MOST_GROWTH_MB);
  expect(after.nodes - before.nodes).toBeLessThan(MOST_NEW_NODES);
});
