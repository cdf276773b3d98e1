import { expect, type Locator, type Page } from '@playwright/test';
import { untouchedTest as test } from './support/served.js';
import { planAnHour } from './support/plan.js';
import { expectFits, expectSound } from './support/sound.js';

const blocksOf = (page: Page) =>
  page.getByRole('grid', { name: 'Blocks' }).getByRole('row').locator('b').allInnerTexts();

test('an hour is planned from a template, made shorter, moved about by keys, and kept @thorough', async ({
  page,
}) => {
  await planAnHour(page);
  await expect(page.getByText(/^Lotte Brandvane may not do everything now/)).toBeVisible();
  await page.getByRole('button', { name: /Follow one/ }).click();
  await page.getByRole('option', { name: 'Cass Ondry' }).click();
  await expect(page.getByText(/^Cass Ondry: 6 sets, helps 1[45] times/)).toBeVisible();
  await expectSound(page);

  const time = page.getByRole('textbox', { name: 'Time there is, min' });
  await time.fill('40');
  await time.press('Tab');
  await expect(page.getByText('It is 7 min longer than there is time.')).toBeVisible();
  await page.getByRole('button', { name: 'Shorten to fit' }).click();
  await expect(page.getByText('It is 7 min longer')).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/^(39|40)(\.5)? of 40\smin/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('It is 7 min longer')).toBeVisible();

  // Moved by keys, and added to; both can be taken back.
  const before = await blocksOf(page);
  await page.getByRole('row', { name: /Cued drill/ }).click();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await blocksOf(page)).indexOf('Cued drill')).toBe(5);
  await page.getByRole('button', { name: /Add a block$/ }).click();
  await page.getByRole('option', { name: 'Conditioning' }).click();
  await expect(page.getByRole('region', { name: 'Block', exact: true })).toContainText(
    'Conditioning',
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  expect(await blocksOf(page)).toEqual(before);

  await page.getByRole('row', { name: /Cued drill/ }).click();
  const rest = page.getByRole('textbox', { name: 'Rest of each, s' });
  await rest.fill('20');
  await rest.press('Tab');
  await expect(
    page.getByText('Cued drill: rest is 0.8 times the work, 2 times is usual'),
  ).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('Cued drill: rest is 0.8 times the work')).toBeVisible();
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('columnheader', { name: 'Station 2' }).first()).toBeVisible();
  await expectSound(page);

  await page.getByRole('navigation').getByRole('link', { name: 'Plan' }).click();
  await page.getByRole('button', { name: 'Take A squad at two stations away' }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('link', { name: 'A squad at two stations' })).toBeVisible();
});

test('a session runs on a board: who works where, somebody leaves, the page dies and goes on @thorough', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await planAnHour(page);
  await page.getByRole('link', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Warm-up' })).toBeVisible();
  await expectSound(page);
  for (let block = 0; block < 3; block++)
    await page.getByRole('button', { name: 'Next block' }).click();
  await expect(page.getByRole('heading', { name: 'Cued drill' })).toBeVisible();
  // Its clock stands while it is looked at.
  await page.getByRole('button', { name: 'Again from its start' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText(/^Round 1 of 12/)).toBeVisible();
  await expect(page.getByText('Next: Idris Fennimar, Juno Marlock')).toBeVisible();
  await expectFits(page);
  await page.getByRole('button', { name: 'Somebody leaves or comes' }).click();
  await page.getByRole('button', { name: 'Idris Fennimar is here' }).click();
  await expect(page.getByText('Next: Juno Marlock, Lotte Brandvane')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Next: Juno Marlock, Lotte Brandvane')).toBeVisible();
  // The floor is a press away for whoever works now, on what they work on.
  await page.getByRole('link', { name: 'Time Cass Ondry on the floor' }).click();
  await expect(
    page.getByRole('heading', { name: 'Cass Ondry, ready when you are.' }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'To the session' }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  await expectSound(page);
  await page.getByRole('button', { name: 'End the session' }).click();
  await page.getByRole('button', { name: 'Leave without keeping it' }).click();
  await expect(page.getByRole('link', { name: 'Begin' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'To the session' })).toHaveCount(0);
  await expectFits(page);
});

/** Presses Tab until something has the focus. */
async function tabTo(page: Page, where: Locator): Promise<void> {
  for (let presses = 0; presses < 120; presses++) {
    await page.keyboard.press('Tab');
    if (await where.evaluateAll((all) => all.includes(document.activeElement as HTMLElement)))
      return;
  }
  throw new Error('Tab does not lead there.');
}

test('a session is planned and run by keys alone', async ({ page }) => {
  await page.goto('/plan');
  await expect(page.getByText('Nothing is planned yet.')).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'A squad at two stations' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Who comes?' })).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: /Everyone of/ }));
  for (const key of ['Enter', 'ArrowDown', 'Enter']) await page.keyboard.press(key);
  await expect(page.getByText('47 of 60 minutes for 8: everyone works 6 sets.')).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.keyboard.press('Control+Home');
  await tabTo(page, page.getByRole('link', { name: 'Begin' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Next block' })).toBeFocused();
  for (let block = 0; block < 3; block++) await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Cued drill' })).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'Somebody leaves or comes' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Idris Fennimar is here' })).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'End the session' }));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'Keep it' }));
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nobody was asked how hard it was.')).toBeVisible();
});

test('a plan that two change at once: the second is told, and what they changed is still there @thorough', async ({
  page,
  context,
}) => {
  await planAnHour(page);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  const nameIn = (where: Page) => where.getByRole('textbox', { name: 'Name', exact: true });
  await nameIn(other).fill('Thursday');
  await nameIn(other).press('Enter');
  await expect(other.getByText('saved', { exact: true })).toBeVisible();
  await nameIn(page).fill('Friday');
  await nameIn(page).press('Enter');
  const both = page.getByRole('region', { name: /^Somebody else has changed this session/ });
  await expect(both.getByRole('row', { name: 'Name Friday Thursday' })).toBeVisible();
  await expect(nameIn(page)).toHaveValue('Friday');
  await both.getByRole('button', { name: 'Keep it as it is now' }).click();
  await expect(nameIn(page)).toHaveValue('Thursday');
});
