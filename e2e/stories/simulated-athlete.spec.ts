import { expect } from '@playwright/test';
import { Coach } from './support/coach.js';
import { hurry } from './support/hurry.js';
import { untouchedTest as test } from './support/served.js';

/** A seed with which this athlete passes, if nobody ran sets with them before: the story is about what follows then. */
const PASSING_SEED = 7;

test('the simulated athlete plays a set to the end and moves up; undo takes it back', async ({
  page,
}) => {
  await page.addInitScript(hurry, 4);
  const coach = new Coach(page);
  const name = 'Rafe Lindhollow';
  await coach.goToFloor(name, { timedBy: 'The simulated athlete', reps: 10, seed: PASSING_SEED });
  await coach.start();
  await coach.finished(10);
  const { set, decision } = await coach.seeReview();
  expect(decision.answer).toBe('move up');
  const up = `Move up to rung ${set.rung + 1}`;
  await expect(page.getByRole('heading', { level: 1 })).toContainText(up);
  await page.getByRole('button', { name: up }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    `Moved up to rung ${set.rung + 1}.`,
  );

  await page.getByRole('button', { name: `Undo: back to rung ${set.rung}` }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(up);
  await page.getByRole('button', { name: up }).click();
  await page.getByRole('link', { name: `Next set, rung ${set.rung + 1}` }).click();
  await expect(page.getByRole('button', { name: `rung ${set.rung + 1} of 5` })).toBeVisible();
  await page.getByRole('link', { name: 'Squad' }).click();
  const line = page.getByRole('listitem').filter({ hasText: name });
  await expect(line.getByRole('img', { name: `rung ${set.rung + 1} of 5` })).toBeVisible();

  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page
      .goBack()
      .then(() => page.goBack())
      .then(() => page.getByRole('link', { name: 'Reps as CSV' }).click()),
  ]);
  expect(csv.suggestedFilename()).toBe('orthokin-reps.csv');
});
