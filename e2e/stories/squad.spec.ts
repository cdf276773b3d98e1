import { expect, type Page } from '@playwright/test';
import type { SquadLineReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { DEMO_CLUB } from './support/club.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

/** Adds so many athletes who have never been timed. */
async function addMany(page: Page, first: number, last: number): Promise<void> {
  const [line] = (await (await page.request.get(`${DEMO_CLUB}/squad`)).json()) as SquadLineReply[];
  const athletes = Array.from({ length: last - first + 1 }, (_, i) => ({
    ...{ id: v7(), name: `Pupil ${String(first + i).padStart(3, '0')}`, hand: 'right' },
    ...{ ageBand: 'adult', colourVision: 'full', patternId: line?.patternId },
  }));
  const reply = await page.request.put(`${DEMO_CLUB}/athletes`, { data: { athletes } });
  expect(reply.status(), await reply.text()).toBeLessThan(300);
}

const headings = (page: Page) => page.getByRole('main').getByRole('heading', { level: 2 });

test('the squad opens by what needs the coach; of forty and of two hundred one is found at once @thorough', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Lotte Brandvane/);
  const changed = page.getByRole('region', { name: 'Changed for real' });
  await expect(changed.getByRole('listitem')).toHaveCount(1);
  await expect(changed).toContainText(
    'A new difference between the sides: the right takes longer.',
  );
  await expect(changed.getByRole('img', { name: /^recovery over 12 days: / })).toBeVisible();
  expect((await headings(page).allInnerTexts())[0]).toBe('Changed for real');
  await expectSound(page);

  await addMany(page, 1, 32);
  await page.reload();
  const fresh = page.getByRole('region', { name: 'Not timed yet' });
  await expect(fresh.getByRole('listitem')).toHaveCount(32);
  expect((await headings(page).allInnerTexts()).at(-1)).toBe('Not timed yet');

  await addMany(page, 33, 192);
  await page.reload();
  await expect(fresh.getByRole('listitem')).toHaveCount(192);
  await page.getByRole('searchbox', { name: 'Find an athlete' }).fill('pupil 177');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('link', { name: 'Start a drill with Pupil 177' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find an athlete' }).fill('nobody at all');
  await expect(page.getByText('Nobody is called “nobody at all” here.')).toBeVisible();
  await page.keyboard.press('Escape');

  // The order that was chosen stands when the page is opened again.
  await page.getByRole('button', { name: /Order$/ }).click();
  await page.getByRole('option', { name: 'by name' }).click();
  await expect(headings(page)).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('Amara Quill');
  await expect(headings(page)).toHaveCount(0);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectSound(page);
});
