import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import type { SetReviewReply } from '@orthokin/contract';
import { eventOf } from '@orthokin/core/timing';
import { Coach } from '../stories/support/coach.js';
import { filmIt, runCuesOnly, truthOf } from '../stories/support/film.js';
import { test } from '../stories/support/served.js';
import { noteDrawing } from './support/drawn.js';
import { figures } from './support/figures.js';
import { firstFrame } from './support/first-frame.js';
import { watchMachine } from './support/machine.js';

/** From the first cue of a set to the second, ms. */
function nextCueMs(review: SetReviewReply): number {
  const [first = NaN, second = NaN] = truthOf(review).map(
    ({ events }) => eventOf(events, 'cue')?.atMs ?? NaN,
  );
  return second - first;
}

const REPS = 6;
const STEPS = 150;
/** Somebody who holds a key down asks for a frame about this often, ms. */
const EVERY_MS = 33;

/** How long a step took from the key, ms: until its frame was drawn, and until the page knew of it. */
interface StepTimes {
  readonly drawn: number[];
  readonly known: number[];
}

const stepTimes = (page: Page, code: string, steps: number, everyMs: number): Promise<StepTimes> =>
  page.evaluate(
    async ({ key, count, pauseMs }) => {
      const canvas = document.querySelector<HTMLCanvasElement>('canvas[data-frame]');
      if (!canvas) throw new Error('No film is open.');
      const took: StepTimes = { drawn: [], known: [] };
      for (let n = 0; n < count; n++) {
        const began = performance.now();
        const shown = new Promise<void>((done) => {
          const watch = new MutationObserver(() => {
            watch.disconnect();
            done();
          });
          watch.observe(canvas, { attributes: true, attributeFilter: ['data-frame'] });
        });
        window.dispatchEvent(new KeyboardEvent('keydown', { code: key }));
        await shown;
        const { drawnAt } = document.documentElement.dataset;
        took.known.push(performance.now() - began);
        took.drawn.push(Number(drawnAt) - performance.timeOrigin - began);
        await new Promise((done) => setTimeout(done, pauseMs));
      }
      return took;
    },
    { key: code, count: steps, pauseMs: everyMs },
  );

function tell(what: string, { drawn, known }: StepTimes, taken: string): void {
  console.log(figures(`${what}, drawn`, drawn), `(${taken})`);
  console.log(figures(`${what}, known to the page`, known));
}

/** The same steps by the browser's own film element, sought frame by frame: the peer. */
const seekTimes = (page: Page, film: Buffer, steps: number): Promise<number[]> =>
  page.evaluate(
    async ({ base64, count }) => {
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const video = document.createElement('video');
      video.muted = true;
      video.src = URL.createObjectURL(new Blob([bytes], { type: 'video/webm' }));
      await new Promise((done) => video.addEventListener('loadeddata', done, { once: true }));
      const took: number[] = [];
      for (let n = 0; n < count; n++) {
        const began = performance.now();
        const sought = new Promise((done) =>
          video.addEventListener('seeked', done, { once: true }),
        );
        video.currentTime = 0.5 + (n + 0.5) / 60;
        await sought;
        took.push(performance.now() - began);
      }
      return took;
    },
    { base64: film.toString('base64'), count: steps },
  );

test('a film is opened and stepped through, beside the browser’s own film element', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar', { reps: REPS });
  await coach.timeBy('Cues only');
  await coach.start();
  await coach.finished(REPS);
  const { set } = await coach.seeReview();
  await noteDrawing(page);
  await page.goto(`/film/${set.id}`);
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await expect(page.getByText(`${REPS} of ${REPS} cues heard in the film`)).toBeVisible({
    timeout: 180_000,
  });
  const began = Date.now();
  await page.reload();
  await firstFrame(page);
  console.log(`film, page opened anew to first frame: ${Date.now() - began} ms`);
  await expect(page.getByText('cues heard in the film')).toBeVisible({ timeout: 60_000 });
  await page.waitForTimeout(1500);

  let taken = watchMachine();
  const held = await stepTimes(page, 'ArrowRight', STEPS, EVERY_MS);
  tell('film, step on with the key held', held, taken());
  taken = watchMachine();
  const apart = await stepTimes(page, 'ArrowRight', STEPS, 4 * EVERY_MS);
  tell('film, step on, one by one', apart, taken());
  taken = watchMachine();
  const back = await stepTimes(page, 'ArrowLeft', STEPS, EVERY_MS);
  tell('film, step back', back, taken());

  await page
    .getByRole('button', { name: /^First move/ })
    .first()
    .click();
  await page.keyboard.press('ArrowRight');
  const [clip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^This rep as a clip/ }).click(),
  ]);
  // A page of its own: the app's own rules let it play nothing made in the page.
  const blank = await page.context().newPage();
  const sought = await seekTimes(blank, readFileSync(await clip.path()), STEPS);
  console.log(figures('the browser’s own film element, sought frame by frame', sought));
});

test('a body is followed through a rep, frame by frame', async ({ page }) => {
  const untimed = await runCuesOnly(page);
  await filmIt(page, untimed);
  await page.getByRole('button', { name: 'Find the body' }).click();
  const picture = page.getByRole('img', { name: /^The picture: click between the hips/ });
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  for (const down of [0.47, 0.28])
    await picture.click({ position: { x: box.width / 2, y: down * box.height } });
  const began = Date.now();
  await expect(page.getByText('Is it right?')).toBeVisible({ timeout: 60_000 });
  console.log(`model loaded and three looks: ${Date.now() - began} ms`);
  const taken = watchMachine();
  // Without marks it is followed to the next cue, or five seconds: so many frames are looked at.
  const startedMs = Date.now();
  await page.getByRole('button', { name: 'Follow it through the rep' }).click();
  const following = page.getByText(/^Following the body/);
  await expect(following).toBeVisible();
  await expect(following).toHaveText(/5\d\s%/, { timeout: 120_000 });
  const [, share = NaN] = /(\d+)\s%/.exec(await following.innerText()) ?? [];
  const stretchMs = Math.min(5000, nextCueMs(untimed));
  const frames = (Number(share) / 100) * (stretchMs / (1000 / 60));
  console.log(
    `a frame of a followed body: ${((Date.now() - startedMs) / frames).toFixed(0)} ms`,
    taken(),
  );
});
