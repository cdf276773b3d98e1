import { expect, type Page } from '@playwright/test';
import { expectSound } from './support/sound.js';
import { Coach } from './support/coach.js';
import { test } from './support/served.js';

/** Which target is asked for now; `null` when the practice is over. */
const asked = async (page: Page): Promise<string | null> => {
  await page.waitForFunction(
    () => {
      const cue = document.querySelector<HTMLElement>('[data-testid=cue]');
      return !cue || (cue.dataset['cue'] ?? '') !== '';
    },
    undefined,
    { polling: 'raf' },
  );
  const cue = page.getByTestId('cue');
  return (await cue.count()) === 0 ? null : cue.getAttribute('data-cue');
};

test('a practice of the map shows who does not know which cue, and the set-up says so @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar');
  await page.getByRole('link', { name: 'Practise the map' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('which cue means which');
  await expectSound(page);
  await page.getByRole('button', { name: 'Cover them and ask' }).click();
  let answers = 0;
  for (;;) {
    const letter = await asked(page);
    if (letter === null) break;
    if (answers === 0) await expectSound(page);
    // The place is named beside no marker: the name would give it away.
    await expect(page.getByTestId('cue').locator('strong')).toHaveText('');
    const place = letter === 'B' ? 'C' : letter;
    await page.locator(`[data-place=${place}]`).press('Enter');
    await expect(page.getByRole('status').filter({ hasText: letter })).toHaveText(
      letter === 'B' ? 'No: B is here.' : `Yes: ${letter}.`,
    );
    answers++;
  }
  expect(answers).toBe(2 * 5 + 4);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Idris Fennimar does not know B yet.',
  );
  await expect(page.getByText('B: 0 of 4 right, taken for C')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the set' }).click();
  await expect(page.getByText('Idris Fennimar does not know B yet. (today)')).toBeVisible();
});

test('a pattern is rehearsed position by position, its check points ticked and kept @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar');
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await coach.fill('Hold', '1');
  await expect(page.getByText('6 targets, the sides in turn: 36 calls')).toBeVisible();
  await page.getByRole('button', { name: 'Rehearse' }).click();

  const called = page.getByTestId('called');
  const first = await page.getByText('1 of 36').textContent();
  expect(first).toBe('1 of 36');
  await expect(called).toHaveText('Stance');
  // The calls go on by themselves…
  await expect(called).toHaveText('Split-step');
  // …and wait for the coach.
  await page.keyboard.press('ArrowRight');
  await expect(called).toHaveText('Load');
  await page.keyboard.press('p');
  await expect(page.getByRole('timer')).toHaveText('Paused');
  await page.keyboard.press('1');
  await page.getByRole('group', { name: 'Check points' }).getByRole('button').nth(1).click();
  await page.keyboard.press('2');
  await expectSound(page);
  await expect(page.getByRole('button', { name: /: holds/ })).toHaveCount(1);
  const failed = page.getByRole('button', { name: /: does not hold/ });
  const point = (await failed.getAttribute('aria-label'))?.split(':')[0] ?? '';
  await page.keyboard.press('p');
  await expect(called).toHaveText('Action', { timeout: 20_000 });

  // The page dies; what was ticked is there.
  await page.reload();
  await expect(page.getByText(`1 of 2 check points hold. Next: “${point}”`)).toBeVisible();
});
