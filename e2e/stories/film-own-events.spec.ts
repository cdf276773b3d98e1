import { expect, type Page } from '@playwright/test';
import type { SquadLineReply } from '@orthokin/contract';
import { eventOf, type EventName } from '@orthokin/core/timing';
import { lineOf } from './support/club.js';
import { Coach } from './support/coach.js';
import { filmIt, REPS, runCuesOnly, stepTo, truthOf } from './support/film.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

/** Turned and ready so long before the simulated athlete's foot is planted. */
const PREPARED_BEFORE_MS = 250;

async function askForPrepared(page: Page, { patternId, rung }: SquadLineReply): Promise<void> {
  const coach = new Coach(page);
  await page.goto(`/ladder/${patternId}/rungs`);
  const rungs = page.getByRole('list', { name: 'Rungs, the easiest at the foot' });
  await rungs.getByRole('button', { name: new RegExp(`^${rung}\\b`) }).click();
  const asked = page.getByRole('region', { name: 'Events of your own' });
  await asked.getByRole('textbox', { name: 'Name' }).fill('Arrival');
  await asked.getByRole('button', { name: 'Ask for it' }).click();
  await expect(asked.getByText('“Arrival” cannot be asked for')).toBeVisible();
  await asked.getByRole('textbox', { name: 'Name' }).fill('prepared');
  await asked.getByRole('button', { name: 'Ask for it' }).click();
  await coach.fill('prepared, at the latest', '0.1');
  await coach.fill('Valid reps, at least', String(REPS));
  await expectSound(page);
  await page.getByRole('button', { name: 'Save the ladder' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
}

test('an event of the coach’s own is asked for by a rung, marked on film, and judged like the others @thorough', async ({
  page,
}) => {
  test.slow();
  const line = await lineOf(page, 'Idris Fennimar');
  await askForPrepared(page, line);

  const untimed = await runCuesOnly(page);
  await filmIt(page, untimed);
  await page.getByRole('textbox', { name: 'Your name' }).fill('Mara');
  await page.keyboard.press('Tab');
  const own = page.getByRole('region', { name: 'Events of your own' });
  await expect(own.getByRole('button', { name: /^prepared 1/ })).toBeVisible();
  await own.getByRole('textbox', { name: 'Another event' }).fill('bounce');
  await own.getByRole('button', { name: 'Add it' }).click();
  await expect(own.getByRole('button', { name: /^bounce 2/ })).toBeVisible();
  await own.getByRole('button', { name: 'Forget bounce' }).click();

  for (const { ordinal, events } of truthOf(untimed)) {
    await page.getByRole('button', { name: new RegExp(`^Rep ${ordinal},`) }).click();
    const since = (name: EventName) =>
      (eventOf(events, name)?.atMs ?? NaN) - (eventOf(events, 'cue')?.atMs ?? NaN);
    for (const [ms, key] of [
      [since('firstMove'), 'F'],
      [since('arrival') - PREPARED_BEFORE_MS, '1'],
      [since('arrival'), 'A'],
      [since('action'), 'C'],
      [since('home'), 'H'],
    ] as const) {
      await stepTo(page, ms);
      await page.keyboard.press(key);
    }
  }
  await expectSound(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: `Keep these ${REPS} reps` }).click();
  await page.getByRole('link', { name: 'See where the time went' }).click();

  const row = page.getByRole('row', { name: /^prepared asked: at least 0.10\ss before arriving/ });
  await expect(row).toBeVisible();
  const [, fromArrival] = await row.getByRole('cell').allInnerTexts();
  const medianMs = -1000 * Number(/^−([\d.]+)/.exec(fromArrival ?? '')?.[1]);
  expect(Math.abs(medianMs + PREPARED_BEFORE_MS)).toBeLessThan(30);
  await expect(
    page.getByText(/Prepared: 3 of 3 at least 0.10\ss before arriving, 0 later/),
  ).toBeVisible();
  await expect(page.getByText(/^Rep 1: .*; prepared added/)).toBeVisible();
  await page.getByText('Every rep in figures').click();
  await expect(page.getByRole('columnheader', { name: 'prepared, s' })).toBeVisible();

  await page.goto(`/ladder/${line.patternId}/${line.athlete.id}`);
  await expect(
    page.getByRole('list', { name: 'Gates' }).getByRole('listitem').filter({ hasText: 'Prepared' }),
  ).toContainText('3 of 3 at least 0.10 s before arriving');
});
