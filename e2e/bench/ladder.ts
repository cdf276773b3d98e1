import {
  QUICK_COUNT_RULE,
  USUAL_SEQUENTIAL_RULE,
  USUAL_STAIRCASE_RULE,
  USUAL_OUTLOOK,
} from '@orthokin/core/progress';
import { test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

/** Ten true rates of so many athletes each: a hundred thousand courses. */
const ATHLETES = 10_000;
const TIMES = 5;

test('a hundred thousand courses by each rule, in the page’s own worker', async ({ page }) => {
  const [found] = await Promise.all([page.waitForEvent('worker'), page.goto('/ladder/rules')]);
  await page.waitForTimeout(8000);
  for (const rule of [QUICK_COUNT_RULE, USUAL_SEQUENTIAL_RULE, USUAL_STAIRCASE_RULE]) {
    const taken = watchMachine();
    const took = await page.evaluate(
      async ({ url, question, times }) => {
        const took: number[] = [];
        for (let n = 0; n < times; n++) {
          const worker = new Worker(url, { type: 'module' });
          const began = performance.now();
          worker.postMessage(question);
          await new Promise<void>((done) => {
            worker.onmessage = ({ data }: MessageEvent<{ answer?: unknown }>) => {
              if (data.answer) done();
            };
          });
          took.push(performance.now() - began);
          worker.terminate();
        }
        return took;
      },
      {
        url: found.url(),
        times: TIMES,
        question: {
          ...{ kind: 'rules', rules: [rule], settings: USUAL_OUTLOOK, learning: 0 },
          athletes: ATHLETES,
        },
      },
    );
    console.log(figures(`100,000 courses, ${rule.kind} rule`, took), taken());
  }
});
