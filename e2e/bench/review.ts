import { expect, type Page } from '@playwright/test';
import type { ClubReply, ConditionsBody, ImportBody, SquadLineReply } from '@orthokin/contract';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { v7 } from 'uuid';
import { importSets } from '../stories/support/planted.js';
import { test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

test.setTimeout(300_000);

const REPS = 200;
const TIMES = 12;

/** One long set with every event of every rep; gives back its id. */
async function plantLongSet(page: Page): Promise<string> {
  const clubs = (await (await page.request.get('/api/clubs')).json()) as ClubReply[];
  const club = `/api/clubs/${clubs[0]?.clubId ?? ''}`;
  const [line] = (await (await page.request.get(`${club}/squad`)).json()) as SquadLineReply[];
  const startMs = Date.now() - 3_600_000;
  const cues = Array.from({ length: REPS }, (_, i) => ({
    ...{ ordinal: i + 1, target: 'ABCDEF'.charAt(i % 6), foreperiodMs: 1000 },
  }));
  const id = v7();
  const body: ImportBody = {
    sets: [
      {
        id,
        endedAt: new Date().toISOString(),
        body: {
          ...{ athleteId: line?.athlete.id ?? '', patternId: line?.patternId ?? '' },
          ...{ patternVersion: 1, rung: 6, source: 'sensor', seed: 1, cues },
          startedAt: new Date(startMs).toISOString(),
          day: new Date(startMs).toISOString().slice(0, 10),
          ...{ falseStartMs: 100, responseLimitMs: 3000 },
          conditions: PLAIN_CONDITIONS as ConditionsBody,
        },
        reps: cues.map(({ ordinal, target }) => ({
          id: v7(),
          body: {
            ...{ ordinal, target, seenFaults: [], struckOut: false, replaces: null },
            events: (
              [
                ['cue', 0],
                ['splitLanding', 40],
                ['firstMove', 240 + (ordinal % 17)],
                ['arrival', 1100 + (ordinal % 41)],
                ['action', 1230 + (ordinal % 41)],
                ['departure', 1300 + (ordinal % 41)],
                ['home', 2300 + (ordinal % 97)],
              ] as const
            ).map(([name, ms]) => ({
              ...{ name, atMs: ordinal * 5000 + ms, sdMs: 5, source: 'sensor' as const },
            })),
          },
        })),
      },
    ],
  };
  await importSets(page, club, body);
  return id;
}

test('the review of a set of 200 reps, from the press to the ribbons', async ({ page }) => {
  const id = await plantLongSet(page);
  const taken = watchMachine();
  const took: number[] = [];
  const all: number[] = [];
  for (let n = 0; n < TIMES; n++) {
    await page.goto('/review/sets');
    const link = page.locator(`a[href="/review/${id}"]`);
    await link.waitFor();
    await page.waitForTimeout(500);
    const [first, last] = await link.evaluate(
      (element) =>
        new Promise<[number, number]>((done) => {
          const began = performance.now();
          let first = 0;
          const look = () => {
            const now = performance.now() - began;
            const drawn = document.querySelectorAll('[aria-label^="Rep "]').length;
            if (drawn > 0 && first === 0) first = now;
            if (drawn >= 200) done([first, now]);
            else requestAnimationFrame(look);
          };
          (element as HTMLElement).click();
          requestAnimationFrame(look);
        }),
    );
    took.push(first);
    all.push(last);
  }
  console.log(figures('all 200 ribbons drawn', all));
  console.log(figures('review of 200 reps opens', took), taken());
});

test('long sums run beside the page: no frame is dropped', async ({ page }) => {
  await page.goto('/review');
  await page.getByRole('link', { name: 'Wren Hallowby' }).click();
  const button = page.getByRole('button', { name: /price of choice/ });
  await button.waitFor();
  await page.waitForTimeout(1500);
  const taken = watchMachine();
  await page.evaluate(() => {
    const gaps: number[] = [];
    Object.assign(window, { gaps });
    let last = performance.now();
    requestAnimationFrame(function look(now) {
      gaps.push(now - last);
      last = now;
      requestAnimationFrame(look);
    });
  });
  await button.click();
  await expect(page.getByText(/ex-Gaussian/)).toBeVisible();
  const gaps = await page.evaluate(() => (window as unknown as { gaps: number[] }).gaps);
  console.log(figures('frames while a closer look is worked out', gaps), taken());
});

test('an interval of 5,000 resamples over 500 reps, in the page’s own worker', async ({ page }) => {
  const [found] = await Promise.all([
    page.waitForEvent('worker'),
    page.goto('/review').then(async () => {
      await page.getByRole('link', { name: 'Wren Hallowby' }).click();
      await page.getByRole('button', { name: /price of choice/ }).click();
      await expect(page.getByText(/ex-Gaussian/)).toBeVisible();
    }),
  ]);
  await page.waitForTimeout(1500);
  const taken = watchMachine();
  const { took, gaps } = await page.evaluate(async (url) => {
    const gaps: number[] = [];
    let last = performance.now();
    let isOver = false;
    requestAnimationFrame(function look(now) {
      gaps.push(now - last);
      last = now;
      if (!isOver) requestAnimationFrame(look);
    });
    const nothing = Array.from({ length: 500 }, () => null);
    const took: number[] = [];
    for (let n = 0; n < 12; n++) {
      const worker = new Worker(url, { type: 'module' });
      const reply = () =>
        new Promise<void>((done) => {
          worker.onmessage = ({ data }: MessageEvent<{ answer?: unknown }>) => {
            if (data.answer) done();
          };
        });
      // Only reactions are given, so that one interval is all there is to work out (and the tail).
      const sum = {
        ...{ kind: 'closer', targets: [], rung: 1, sets: [{ rung: 1, choices: 2 }] },
        reps: {
          ...{ setIds: ['one'], set: nothing.map(() => 0), target: nothing.map(() => 'A') },
          reaction: nothing.map((_, i) => 250 + ((i * 37) % 101) + (i % 9 === 0 ? 120 : 0)),
          ...{ response: nothing, travel: nothing, recovery: nothing, cycle: nothing },
        },
      };
      // Once to load it, once to time it.
      for (const isTimed of [false, true]) {
        const began = performance.now();
        const answered = reply();
        worker.postMessage(sum);
        await answered;
        if (isTimed) took.push(performance.now() - began);
      }
      worker.terminate();
    }
    isOver = true;
    return { took, gaps };
  }, found.url());
  console.log(figures('BCa, 5,000 resamples of 500 reps, in the worker', took));
  console.log(figures('frames meanwhile', gaps), taken());
});
