import type { SquadLineReply } from '@orthokin/contract';
import { DEMO_CLUB } from '../stories/support/club.js';
import { plantCourse } from '../stories/support/planted.js';
import { untouchedTest as test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

test.setTimeout(600_000);

const TIMES = 5;
/** A club's tablet has about a quarter of this processor. */
const SLOWER = 4;
/** A question that every device asks, and that costs the server nothing. */
const BARE = '/api/health';

test('a device that was away while everybody trained for weeks reads what it lacks', async ({
  browser,
  untouched,
}) => {
  const context = await browser.newContext({
    ...{ baseURL: untouched.address, serviceWorkers: 'allow' },
  });
  const page = await context.newPage();
  const isReady = () =>
    page
      .getByRole('heading', { name: 'Everything here opens without a network' })
      .waitFor({ timeout: 120_000 });
  await page.goto('/device');
  await isReady();
  const squad = (await (await page.request.get(`${DEMO_CLUB}/squad`)).json()) as SquadLineReply[];
  const session = await context.newCDPSession(page);
  const taken = watchMachine();
  const caughtUp: number[] = [];
  const bare: number[] = [];
  for (let time = 0; time < TIMES; time++) {
    await page.goto('about:blank');
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    for (const { athlete } of squad) await plantCourse(page, athlete.name, () => 1500, time);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    await page.goto('/device');
    await isReady();
    const [readMs, bareMs] = await page.evaluate(async (question) => {
      const asked = performance
        .getEntriesByType('resource')
        .filter(({ name }) => name.includes('/api/clubs/'));
      const first = Math.min(...asked.map(({ startTime }) => startTime));
      const began = performance.now();
      await fetch(question);
      return [began - first, performance.now() - began] as const;
    }, BARE);
    caughtUp.push(readMs);
    bare.push(bareMs);
  }
  console.log(figures(`caught up on ${squad.length} athletes, 32 sets more each`, caughtUp));
  console.log(figures('a bare question, in the same page', bare), taken());
  await context.close();
});
