import { expect } from '@playwright/test';
import { hurry } from './support/hurry.js';
import { Coach } from './support/coach.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

test('a left-hander in a rota keeps pattern and rung; what somebody works on only a choice changes @thorough', async ({
  page,
}) => {
  await page.addInitScript(hurry, 3);
  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 1 });
  await coach.open('Who and what');
  await page.getByRole('button', { name: /^Star from the T/ }).click();
  await page.getByRole('option', { name: 'Four corners' }).click();
  await expect(page.getByText(/^Amara Quill works on Star from the T/)).toBeVisible();
  await coach.choose('Add to the rota', 'Cass Ondry');
  await expect(page.getByText('Star from the T, left-handed, rung 5')).toBeVisible();
  await expectSound(page);
  await coach.start();
  await expect(page.getByText('Next: Cass Ondry')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('Star from the T, left-handed, rung 5')).toBeVisible();
  await expectSound(page);
  await page.getByRole('button', { name: 'Start now' }).click();
  await coach.finished(1);
  await page.getByRole('button', { name: 'See where the time went' }).click();
  await page.waitForURL('**/review/together?sets=*');
  await page.getByRole('link', { name: 'Cass Ondry' }).click();
  const { set, pattern, athlete } = await coach.storedReview();
  expect([athlete.name, athlete.hand, pattern.name, set.rung]).toEqual([
    'Cass Ondry',
    'left',
    'Star from the T, left-handed',
    5,
  ]);

  await page.goto('/');
  const line = (name: string) => page.getByRole('listitem').filter({ hasText: name }).first();
  await expect(line('Amara Quill')).toContainText('Star from the T, rung 4');
  await expect(line('Cass Ondry')).toContainText('Star from the T, left-handed, rung 5');

  await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 1 });
  await coach.open('Who and what');
  await page.getByRole('button', { name: /^Star from the T/ }).click();
  await page.getByRole('option', { name: 'Four corners' }).click();
  await page.getByRole('button', { name: 'Let Amara Quill work on Four corners' }).click();
  await expect(page.getByText(/^Amara Quill works on/)).toBeHidden();
  await page.goto('/');
  await expect(line('Amara Quill')).toContainText('Four corners, rung');
});
