import { expect, type Locator, type Page } from '@playwright/test';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

const namesOf = async (list: Locator): Promise<string[]> =>
  (await list.getByRole('row').allInnerTexts()).map((text) => text.split('\n')[0] ?? '');

async function dragTo(page: Page, from: Locator, to: Locator): Promise<void> {
  const [a, b] = [await from.boundingBox(), await to.boundingBox()];
  if (!a || !b) throw new Error('Nothing to drag.');
  await page.mouse.move(a.x + 12, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height - 6, { steps: 12 });
  await page.mouse.up();
}

test('a squad is split by level, changed by dragging and by key, kept, and looked at by itself', async ({
  page,
}) => {
  await page.goto('/people/squads');
  await expectSound(page);
  await page.getByRole('region', { name: 'Juniors' }).getByRole('link', { name: 'Split' }).click();
  const first = page.getByRole('grid', { name: 'Juniors 1' });
  const second = page.getByRole('grid', { name: 'Juniors 2' });
  await expect(first).toBeVisible();
  const before = [await namesOf(first), await namesOf(second)] as const;
  expect(before[0].length + before[1].length).toBe(5);
  await expectSound(page);

  // With the pointer, from one to the other.
  const [moved = ''] = before[0];
  await dragTo(page, first.getByRole('row', { name: moved }), second);
  await expect(second.getByRole('row', { name: moved })).toBeVisible();
  await expect(first.getByRole('row', { name: moved })).toHaveCount(0);

  // By key, and back again.
  await second
    .getByRole('row', { name: moved })
    .getByRole('button', { name: /Drag/ })
    .press('Enter');
  for (let i = 0; i < 4 && (await first.locator(':focus').count()) === 0; i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(first.getByRole('row', { name: moved })).toBeVisible();

  // Alike is another suggestion; it is kept as squads of their own.
  await page.getByRole('button', { name: /How$/ }).click();
  await page.getByRole('option', { name: 'alike' }).click();
  const kept = await namesOf(second);
  await page.getByRole('button', { name: 'Keep these squads' }).click();
  const section = page.getByRole('region', { name: 'Juniors 2' });
  await expect(section).toBeVisible();
  expect(await namesOf(section.getByRole('grid'))).toEqual(kept);

  // The squad's page, the floor and the ladder show the squad that was chosen, in its order.
  await page.goto('/');
  await page.getByRole('button', { name: /Squad$/ }).click();
  await page.getByRole('option', { name: 'Juniors 2' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(kept.length);
  await page.goto('/floor');
  await expect(page.getByRole('listitem').first()).toContainText(kept[0] ?? '');
  await expect(page.getByRole('listitem')).toHaveCount(kept.length);
});

test('squads are made, filled, renamed, taken away and put back @thorough', async ({ page }) => {
  await page.goto('/people/squads');
  await page.getByLabel('A new squad').fill('Early birds');
  await page.getByRole('button', { name: 'Make it' }).click();
  const squad = page.getByRole('region', { name: 'Early birds' });
  await expect(squad.getByText('Nobody yet.')).toBeVisible();
  for (const name of ['Rafe Lindhollow', 'Amara Quill']) {
    await squad.getByRole('button', { name: /Add to Early birds$/ }).click();
    await page.getByRole('option', { name }).click();
    await expect(squad.getByRole('row', { name })).toBeVisible();
  }
  expect(await namesOf(squad.getByRole('grid'))).toEqual(['Rafe Lindhollow', 'Amara Quill']);
  await squad.getByRole('button', { name: 'Take Rafe Lindhollow out' }).click();
  await expect(squad.getByRole('row')).toHaveCount(1);
  await squad.getByRole('button', { name: 'Take the squad Early birds away' }).click();
  await expect(squad).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(squad.getByRole('row')).toHaveCount(1);
});
