import { expect, type Page } from '@playwright/test';
import { Coach } from './support/coach.js';
import { hurry } from './support/hurry.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

/** The fills of the red and the green marker. */
const RED_GREEN = new Set(['#E3170F', '#0B8A3E']);

const athletePage = async (page: Page, name: string) => {
  await page.goto('/');
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
};

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`${label}$`) }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('who may not jump is stopped before the drill, offered what is allowed, and let go with a reason @thorough', async ({
  page,
}) => {
  await page.addInitScript(hurry, 4);
  const coach = new Coach(page);
  await athletePage(page, 'Cass Ondry');
  await page.getByRole('button', { name: 'Add a restriction' }).click();
  await choose(page, 'What', 'No turning');
  await choose(page, 'Leg', 'left');
  await page.getByLabel('Why, and on whose word').fill('Knee; the club’s doctor.');
  await expectSound(page);
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('No turning on the left leg, until it is lifted')).toBeVisible();

  await page.goto('/');
  const line = page.getByRole('listitem').filter({ hasText: 'Cass Ondry' });
  await expect(line.getByText('May not do everything now')).toBeVisible();
  await page.getByRole('link', { name: 'Start a drill with Cass Ondry' }).click();
  await expect(
    page.getByRole('heading', { name: 'Cass Ondry may not do all of this now.' }),
  ).toBeVisible();
  await expect(page.getByText(/Targets .* ask for it: turn on the left leg\./)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start the set' })).toHaveCount(0);
  await expectSound(page);

  // What is allowed can be started at once, and is no evidence for the rung.
  await page.getByRole('button', { name: /^Only / }).click();
  await expect(
    page.getByRole('heading', { name: 'Cass Ondry, ready when you are.' }),
  ).toBeVisible();
  await expect(page.getByText(/it says nothing about moving up/)).toBeVisible();
  await coach.timeBy('The simulated athlete');
  await coach.fill('Reps', '3');
  await coach.start();
  await coach.finished(3);
  const { set, decision } = await coach.seeReview();
  expect(set.conditions.eased?.targets?.length).toBeGreaterThan(0);
  expect(new Set(set.cues.map(({ target }) => target))).toEqual(
    new Set(set.conditions.eased?.targets),
  );
  expect(decision.setIds).not.toContain(set.id);

  // All of it only with a reason, which is kept.
  await page.goto(`/floor/${set.athleteId}`);
  await page.getByRole('button', { name: 'Start all the same…' }).click();
  const go = page.getByRole('button', { name: 'Start, for this reason' });
  await expect(go).toBeDisabled();
  await page.getByLabel('Why, in a few words').fill('Walking pace only today.');
  await go.click();
  await expect(page.getByTestId('cue')).toBeVisible();
  await athletePage(page, 'Cass Ondry');
  await expect(page.getByText(/went ahead on .* “Walking pace only today.”/)).toBeVisible();

  await page.getByRole('button', { name: 'Lift: No turning on the left leg' }).click();
  await page.getByLabel('On whose word?').fill('Dr Sand');
  await page.getByRole('button', { name: 'Lift it' }).click();
  await expect(page.getByText('Nothing is restricted.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('No turning on the left leg, until it is lifted')).toBeVisible();
});

test('what a clinician has to clear nobody goes ahead against', async ({ page }) => {
  await page.goto('/patterns');
  await page.goto('/');
  await page.getByRole('link', { name: 'Start a drill with Lotte Brandvane' }).click();
  await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
  await athletePage(page, 'Lotte Brandvane');
  await page.getByRole('button', { name: 'Add a restriction' }).click();
  await choose(page, 'What', 'No jumping at all');
  await page.getByText('Only a clinician may lift it; nobody goes ahead against it').click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('No jumping at all, until it is lifted')).toBeVisible();
  await page.getByRole('link', { name: 'Start a drill' }).click();
  await expect(page.getByText(/Only the clinician in charge can clear this/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start all the same…' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Walk through it' }).click();
  await expect(page).toHaveURL(/rehearse/);
});

test('a check that hurts restricts until it is looked at again; a phone fits the floor side @thorough', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await athletePage(page, 'Oskar Tvedmoor');
  await page.getByRole('link', { name: 'Go through the checks' }).click();
  await expectSound(page);
  const check = page.getByRole('radiogroup', { name: 'Land a split-step evenly' });
  await check.getByText('Hurts').click();
  await expect(check.getByRole('radio', { name: 'Hurts' })).toBeChecked();
  await page.getByRole('link', { name: 'Oskar Tvedmoor' }).click();
  await expect(page.getByText('No jumping at all')).toBeVisible();
  await page.getByRole('link', { name: 'Start a drill' }).click();
  await expect(page.getByText('No jumping at all', { exact: true })).toBeVisible();
  await expectSound(page);
  await athletePage(page, 'Oskar Tvedmoor');
  await page.getByRole('link', { name: 'Look again' }).click();
  await check.getByText('With help').click();
  await expect(check.getByRole('radio', { name: 'With help' })).toBeChecked();
  await page.getByRole('link', { name: 'To the floor' }).click();
  await expect(
    page.getByRole('heading', { name: 'Oskar Tvedmoor, ready when you are.' }),
  ).toBeVisible();
});

test('a guardian’s agreement that is missing is said before the drill, and written down @thorough', async ({
  page,
}) => {
  const missing = /No guardian’s agreement to training is written down for Juno Marlock/;
  await page.goto('/');
  await page.getByRole('link', { name: 'Start a drill with Juno Marlock' }).click();
  await expect(page.getByText(missing)).toBeVisible();
  await page.getByRole('button', { name: 'In an emergency' }).click();
  await expect(page.getByRole('link', { name: '01632 960 017' })).toBeVisible();
  await expectSound(page);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('link', { name: 'Write it down' }).click();
  await page.getByRole('button', { name: 'Write an agreement down' }).click();
  await page.getByLabel('Name of the guardian').fill('Robin Marlock');
  await expectSound(page);
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Training is agreed to.')).toBeVisible();
  await page.getByRole('link', { name: 'Start a drill' }).click();
  await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
  await expect(page.getByText(missing)).toHaveCount(0);
});

test('a colour test changes the markers an athlete is shown @thorough', async ({ page }) => {
  await athletePage(page, 'Rafe Lindhollow');
  await page.getByRole('link', { name: 'Try the colours' }).click();
  await expectSound(page);
  // Rafe takes red and green for one colour; everything else apart.
  for (let n = 1; n <= 16; n++) {
    await expect(page.getByText(`Pair ${n} of 16`)).toBeVisible();
    const fills = await page
      .getByRole('img', { name: 'Two markers side by side' })
      .locator('path')
      .evaluateAll((paths) => paths.map((path) => path.getAttribute('fill') ?? ''));
    const [a = '', b = ''] = fills;
    const isRedGreen = new Set([a, b]).size === 2 && fills.every((fill) => RED_GREEN.has(fill));
    await page
      .getByRole('button', { name: a === b || isRedGreen ? /The same/ : /Two colours/ })
      .click();
  }
  await expect(page.getByText('Told apart: all but red from green.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep that' }).click();
  await expect(page.getByText('Tells apart: all but red from green.')).toBeVisible();
  await page.getByRole('link', { name: 'Start a drill' }).click();
  await expect(page.getByText(/does not tell red from green/)).toBeVisible();
});

test('a fault of the club’s own is named, watched in one athlete, and said on the floor @thorough', async ({
  page,
}) => {
  await athletePage(page, 'Amara Quill');
  await page.getByRole('link', { name: 'The faults, and what mends them' }).click();
  await expectSound(page);
  await page.getByRole('button', { name: 'Add a fault of your own' }).click();
  const own = page.getByRole('listitem', { name: 'A new fault' });
  await own.getByLabel('To say on the floor').fill('Racket up early.');
  await page.keyboard.press('Enter');
  await own.getByLabel('Name of your own').fill('late racket');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem', { name: 'late racket' })).toBeVisible();
  // The usual ones are called as the sport calls them.
  await page.getByLabel('Name for flat feet').fill('heavy heels');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem', { name: 'heavy heels' })).toBeVisible();

  await athletePage(page, 'Amara Quill');
  await page.getByRole('button', { name: /Fault 1$/ }).click();
  await expect(page.getByRole('option', { name: /heavy heels/ })).toBeVisible();
  await page.getByRole('option', { name: /late racket/ }).click();
  await expect(page.getByText('“Racket up early.”')).toBeVisible();

  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { reps: 2 });
  await coach.start();
  await coach.playRep(1);
  await page.getByRole('button', { name: /^late racket/ }).click();
  await coach.playRep(2);
  const { reps, set } = await coach.seeReview();
  expect(set.conditions.watched).toEqual(['own 1']);
  expect(reps.flatMap(({ seenFaults }) => seenFaults)).toContain('own 1');
  await expect(page.getByRole('img', { name: /late racket/ }).first()).toBeVisible();
  await athletePage(page, 'Amara Quill');
  await page.getByRole('button', { name: /Fault 1$/ }).click();
  await expect(page.getByRole('option', { name: 'late racket, seen once lately' })).toBeVisible();
  // Somebody else is not watched for it.
  await page.goto('/');
  await page.getByRole('link', { name: 'Start a drill with Idris Fennimar' }).click();
  await expect(page.getByText(/watching late racket/)).toHaveCount(0);
});
