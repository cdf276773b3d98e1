import { expect } from '@playwright/test';
import type { RepReply } from '@orthokin/contract';
import { Coach, timeOf } from './support/coach.js';
import { test } from './support/served.js';

interface Witness {
  readonly what: string;
  readonly atMs: number;
}

/** An event as it is stored, and what the witness calls it. */
interface Moment {
  readonly event: string;
  readonly what: string;
}
const CUE: Moment = { event: 'cue', what: 'cue' };
const FIRST_MOVE: Moment = { event: 'firstMove', what: 'Space' };
const ACTION: Moment = { event: 'action', what: 'ArrowDown' };
const HOME: Moment = { event: 'home', what: 'Enter' };

const TOLERANCE_MS = 20;
const REPS = 10;

/** Reaction, way out and way back of each rep, ms: the rhythm the presses follow. */
const rhythm = (ordinal: number): [number, number, number] => [
  180 + 17 * ordinal,
  420 + 23 * ordinal,
  640 - 19 * ordinal,
];

test(
  'ten reps timed by real key presses are stored within 20 ms of what was pressed',
  { tag: '@exact' },
  async ({ page }) => {
    // A witness of its own in the page: when each cue came into the document, when each key went down.
    await page.addInitScript(() => {
      const seen: { what: string; atMs: number }[] = [];
      Object.assign(window, { seen });
      window.addEventListener(
        'keydown',
        (e) => seen.push({ what: e.code, atMs: e.timeStamp }),
        true,
      );
      let last = '';
      const look = () => {
        const cue = document.querySelector<HTMLElement>('[data-testid=cue]')?.dataset['cue'] ?? '';
        // The frame after the one that drew it: by then it is on the screen.
        if (cue && !last) requestAnimationFrame((at) => seen.push({ what: 'cue', atMs: at }));
        last = cue;
      };
      new MutationObserver(look).observe(document, {
        subtree: true,
        childList: true,
        attributes: true,
        attributeFilter: ['data-cue'],
      });
    });
    const coach = new Coach(page);
    await coach.goToFloor('Amara Quill', { reps: REPS });
    await coach.start();
    for (let rep = 1; rep <= REPS; rep = (await coach.done()) + 1) {
      const [reaction, out, back] = rhythm(rep);
      await coach.cue(rep);
      await page.waitForTimeout(reaction);
      await page.keyboard.press('Space');
      await page.waitForTimeout(out);
      await page.keyboard.press('ArrowDown');
      await page.waitForTimeout(back);
      await page.keyboard.press('Enter');
      await coach.finished(rep);
    }
    const { reps, set } = await coach.seeReview();
    const started = Date.parse(set.startedAt);
    const witnessed = await page.evaluate(() =>
      (window as unknown as { seen: Witness[] }).seen.map(({ what, atMs }) => ({
        what,
        atMs: performance.timeOrigin + atMs,
      })),
    );
    /** The witness's time, on the set's clock, of what was stored at about that time. */
    const pressed = (what: string, storedMs: number) =>
      witnessed
        .filter((each) => each.what === what)
        .map(({ atMs }) => atMs - started)
        .reduce((a, b) => (Math.abs(b - storedMs) < Math.abs(a - storedMs) ? b : a), Infinity);
    const between = (rep: RepReply, from: Moment, to: Moment) => {
      const [storedFrom, storedTo] = [timeOf(rep, from.event), timeOf(rep, to.event)];
      return {
        stored: storedTo - storedFrom,
        pressed: pressed(to.what, storedTo) - pressed(from.what, storedFrom),
      };
    };

    expect(set.source).toBe('hand');
    expect(reps).toHaveLength(REPS);
    // A machine that stands still for seconds can make the driver miss a cue; the rest must hold.
    const timed = reps.filter((rep) => rep.events.length === 4);
    expect(timed.length).toBeGreaterThanOrEqual(REPS - 2);
    for (const rep of timed) {
      const reaction = between(rep, CUE, FIRST_MOVE);
      expect(Math.abs(reaction.stored - reaction.pressed)).toBeLessThanOrEqual(TOLERANCE_MS);
      const recovery = between(rep, ACTION, HOME);
      expect(Math.abs(recovery.stored - recovery.pressed)).toBeLessThanOrEqual(TOLERANCE_MS);
      expect(new Set(rep.events.map(({ source }) => source))).toEqual(new Set(['sensor', 'hand']));
    }
    await expect(page.getByText('Timed by hand')).toBeVisible();
  },
);

test('a rep is redone and another struck out; both corrections are kept with the set @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Cass Ondry', { reps: 3 });
  await coach.start();
  await coach.playRep(1);
  await page.keyboard.press('KeyR');
  await coach.playRep(1, [230, 900, 300]);
  await page.keyboard.press('KeyX');
  await coach.playRep(2);
  await coach.playRep(3);
  const { reps, judgement } = await coach.seeReview();
  expect(reps.map(({ ordinal }) => ordinal)).toEqual([1, 1, 1, 2, 3]);
  expect(reps[1]?.replaces).toBe(reps[0]?.id);
  expect(reps[2]).toMatchObject({ replaces: reps[1]?.id, struckOut: true });
  expect(judgement.validReps.reps).toBe(2);
  await expect(page.getByText('rep 1 (struck out)')).toBeVisible();
});

test(
  'the big buttons time like the keys, a pause drops the open rep, and stopping early keeps what was done',
  { tag: ['@exact', '@thorough'] },
  async ({ page }) => {
    const coach = new Coach(page);
    await coach.goToFloor('Juno Marlock', { reps: 6 });
    await coach.start();
    await coach.cue(1);
    await page.waitForTimeout(150);
    for (const words of ['First move', 'Arrived', 'Action', 'Home']) {
      await page.getByRole('button', { name: new RegExp(`^${words}`) }).click();
      await page.waitForTimeout(150);
    }
    await coach.finished(1);
    await coach.cue(2);
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: /Pause/ }).click();
    await expect(page.getByRole('heading', { name: 'Paused after 1 of 6.' })).toBeVisible();
    await page.getByRole('button', { name: 'Go on' }).click();
    // A control that was clicked must not take the next Space for itself.
    await page.getByRole('button', { name: 'Strike out X' }).click();
    await page.getByRole('button', { name: 'Put back X' }).click();
    await coach.playRep(2);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Stop here, keep 2 reps' }).click();
    await page.waitForURL('**/review/*');
    const { set, reps } = await coach.storedReview();
    expect(set.endReason).toBe('stopped early');
    const names = reps.map(({ events }) => events.map(({ name }) => name));
    expect(names.at(0)).toEqual(['cue', 'firstMove', 'arrival', 'action', 'home']);
    expect(names.at(-1)).toEqual(['cue', 'firstMove', 'action', 'home']);
    expect(reps.map(({ struckOut }) => struckOut)).toEqual([false, true, false, false]);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(
      /^Not enough reps yet: 2 valid reps, 8 needed/,
    );
  },
);

test('a hand is calibrated by tapping along; what is left of its error is kept with every press @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Juno Marlock', { reps: 1 });
  await coach.open('Timing');
  await page.getByRole('button', { name: 'Calibrate the hand' }).click();
  await page.getByRole('button', { name: /Hear 20 beeps/ }).click();
  await page.waitForTimeout(1400);
  for (let beep = 0; beep < 20; beep++) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(690);
  }
  await expect(page.getByRole('status').filter({ hasText: 'Coach presses' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  const said = await page.getByText(/^Coach presses/).textContent();
  const sdMs = 1000 * Number(/±(\d\.\d\d)\ss/.exec(said ?? '')?.[1]);
  await coach.start();
  await coach.playRep(1);
  const { reps } = await coach.seeReview();
  // What is said is rounded to what is shown of a time.
  const kept = reps[0]?.events.find(({ name }) => name === 'home')?.sdMs ?? NaN;
  expect(Math.abs(kept - sdMs)).toBeLessThanOrEqual(5);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test(
    'a set is timed by thumb: a touch counts once, at the moment it lands',
    { tag: ['@exact', '@thorough'] },
    async ({ page }) => {
      const coach = new Coach(page);
      await coach.goToFloor('Oskar Tvedmoor', { reps: 2 });
      await coach.start();
      for (const rep of [1, 2]) {
        await coach.cue(rep);
        await page.waitForTimeout(200);
        for (const words of ['First move', 'Action', 'Home']) {
          const button = page.getByRole('button', { name: new RegExp(`^${words}`) });
          const box = await button.boundingBox();
          expect(box?.height).toBeGreaterThanOrEqual(56);
          await button.tap();
          await page.waitForTimeout(150);
        }
        await coach.finished(rep);
      }
      const { reps } = await coach.seeReview();
      expect(reps.map(({ events }) => events.map(({ name }) => name))).toEqual([
        ['cue', 'firstMove', 'action', 'home'],
        ['cue', 'firstMove', 'action', 'home'],
      ]);
      for (const rep of reps)
        expect(timeOf(rep, 'home') - timeOf(rep, 'action')).toBeGreaterThanOrEqual(140);
    },
  );
});

test('a key meant for the last rep presses nothing of what comes after the set @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Juno Marlock', { reps: 1 });
  await coach.start();
  await coach.playRep(1);
  const done = page.getByRole('heading', { name: 'Set done.' });
  await expect(done).toBeVisible();
  for (const key of ['Space', 'Enter', 'KeyX']) await page.keyboard.press(key);
  await expect(done).toBeVisible();
  // Later too: the way on has the focus, and is no timing key's to press.
  await page.waitForTimeout(1200);
  for (const key of ['Space', 'Enter']) await page.keyboard.press(key);
  await expect(done).toBeVisible();
  await expect(page.getByRole('button', { name: /^Strike out rep 1/ })).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/review/*');
});

test('in a low window and zoomed four times the cue stays large, and a pause can be left @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Juno Marlock', { timedBy: 'The simulated athlete', reps: 3 });
  await coach.start();
  for (const [width, height] of [
    [640, 400],
    [320, 480],
    [320, 200],
  ] as const) {
    await page.setViewportSize({ width, height });
    const cue = page.locator('[data-testid=cue] svg').first();
    // It may go between being seen and being measured: the next one is as large.
    const smallerSide = async () => {
      await expect(cue).toBeVisible();
      const box = await cue.boundingBox();
      return Math.min(box?.width ?? 0, box?.height ?? 0);
    };
    await expect.poll(smallerSide).toBeGreaterThanOrEqual(Math.min(width, height) / 2 - 1);
    await page.keyboard.press('KeyP');
    await page.getByRole('button', { name: 'Go on' }).click();
  }
});

test('where it is to be all the way home, a rep that turned round short of it does not count @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Juno Marlock', { reps: 2 });
  await coach.unfold('Waiting and pace');
  await coach.choose('Home', 'all the way home');
  await coach.start();
  await coach.playRep(1);
  await page.keyboard.press('Digit1');
  await expect(page.getByRole('button', { name: /^short of home/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await coach.playRep(2);
  const { reps } = await coach.seeReview();
  expect(reps.find(({ replaces }) => replaces !== null)?.seenFaults).toEqual(['short of home']);
  await expect(page.getByText(/1 rep counted/)).toBeVisible();
});
