import { expect } from '@playwright/test';
import { Coach } from './support/coach.js';
import { test } from './support/served.js';
import { expectSound } from './support/sound.js';

test('a lost rep of a pressure set adds one, said aloud and shown, and it is worked off @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar', { reps: 2 });
  await coach.unfold('When a rep goes wrong');
  await page.getByText('A lost rep adds reps (pressure)').click();
  await expect(page.getByText('each lost rep adds 1, up to 5')).toBeVisible();
  await coach.start();
  await coach.playRep(1);
  await expectSound(page);
  await coach.cue(2);
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Wrong way' }).click();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('owed')).toHaveText('+1 added');
  await coach.playRep(3);
  await expect(page.getByRole('heading', { name: 'Set done' })).toBeVisible();
  const { reps, set } = await coach.seeReview();
  expect(set).toMatchObject({ endReason: 'completed', conditions: { lossCost: { reps: 1 } } });
  expect(reps).toHaveLength(3);
});

test('a quality set ends by itself when technique goes, and the review says so @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar', { reps: 6 });
  await coach.unfold('Tests and faults');
  await coach.choose('Watched fault 1', 'lean');
  await coach.start();
  for (const ordinal of [1, 2]) {
    await coach.cue(ordinal);
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: /^lean/i }).click();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await coach.finished(ordinal);
  }
  await expect(
    page.getByRole('heading', { name: 'Technique went: the set is over' }),
  ).toBeVisible();
  const { set } = await coach.seeReview();
  expect(set.endReason).toBe('technique went');
  await expect(page.getByText('ended when technique went')).toBeVisible();
});

test('a colour to call fills the screen, with its letter for whoever needs it @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar', { reps: 2 });
  await coach.choose('On the screen', 'a full screen of its colour');
  await coach.choose('To hear', 'a voice that says its colour');
  await coach.start();
  await coach.cue(1);
  const cue = page.getByTestId('cue');
  const letter = await cue.getAttribute('data-cue');
  const fill = cue.locator('.fill');
  await expect(fill).toHaveText(letter ?? '');
  const filled = await fill.boundingBox();
  const place = await cue.boundingBox();
  expect(filled?.width).toBeCloseTo(place?.width ?? 0, 0);
  expect(filled?.height).toBeCloseTo(place?.height ?? 0, 0);
});
