import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

const onDay = (page: Page, week: RegExp, day: RegExp) =>
  page.getByRole('region', { name: week }).getByRole('grid', { name: day });

/** Six weeks for everyone, Mondays and Thursdays. */
async function planSixWeeks(page: Page): Promise<void> {
  // On a Monday: the first week has both of its days to come.
  await page.clock.setSystemTime(new Date('2026-11-30T09:00:00'));
  await page.goto('/plan');
  await page.getByRole('button', { name: 'Begin six weeks by zones' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('6 weeks, no session yet');
  await expectSound(page);
  await page.getByRole('button', { name: /Everyone of/ }).click();
  await page.getByRole('option', { name: 'everyone', exact: true }).click();
  await page.getByRole('button', { name: 'Mon', exact: true }).click();
  await page.getByRole('button', { name: 'Thu', exact: true }).click();
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(page.getByText('12 sessions put in.')).toBeVisible();
}

test('six weeks are planned, a session is moved by keys, the calendar takes it and brings a change back @thorough', async ({
  page,
}) => {
  await planSixWeeks(page);
  await expect(page.getByText('is run the same way')).toHaveCount(0);
  await expectSound(page);

  // By keys from Thursday to the Friday of the same week, and back by a press.
  const thursday = onDay(page, /^Week 2/, /^Thu 10$/);
  await thursday.getByRole('button', { name: 'Move One zone' }).focus();
  await page.keyboard.press('Enter');
  const friday = onDay(page, /^Week 2/, /^Fri 11$/);
  for (let i = 0; i < 10 && (await friday.locator(':focus').count()) === 0; i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(friday.getByText('17:00 One zone')).toBeVisible();
  await expect(page.getByText('One zone is now on Dec 11.')).toBeVisible();
  await page.getByRole('button', { name: 'Move it back' }).click();
  await expect(thursday.getByText('17:00 One zone')).toBeVisible();

  const downloaded = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Calendar file', exact: true }).click();
  const file = readFileSync(await (await downloaded).path(), 'utf8');
  expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(12);
  const moved = file.replace('DTSTART:20261210T170000', 'DTSTART:20261212T103000');
  expect(moved).not.toBe(file);
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read a calendar file back' }).click();
  await (
    await chosen
  ).setFiles({
    ...{ name: 'calendar.ics', mimeType: 'text/calendar', buffer: Buffer.from(moved) },
  });
  await expect(page.getByText('One zone: Dec 12, 10:30, 60 min')).toBeVisible();
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(onDay(page, /^Week 2/, /^Sat 12$/).getByText('10:30 One zone')).toBeVisible();
  await page.reload();
  await expect(onDay(page, /^Week 2/, /^Sat 12$/).getByText('10:30 One zone')).toBeVisible();

  // A week that is off says what is still in it; a lighter one was made shorter.
  await page
    .getByRole('region', { name: /^Week 2/ })
    .getByRole('button', { name: /How much/ })
    .click();
  await page.getByRole('option', { name: 'off: nobody trains' }).click();
  await expect(page.getByText('There is a session on Dec 7, in a week that is off.')).toBeVisible();
  await onDay(page, /^Week 4/, /^Mon 21$/)
    .getByRole('link')
    .click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('of 36 minutes for 8');
});

test('weeks are copied to another squad, with who comes; they fit a phone; taken away they can be had back @thorough', async ({
  page,
}) => {
  await planSixWeeks(page);
  await page.getByRole('button', { name: /For whom/ }).click();
  await page.getByRole('option', { name: 'Juniors' }).click();
  await page.getByRole('button', { name: 'Copy the weeks' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Six weeks by zones, Juniors: 6 weeks, 12 sessions.',
  );
  const done = page.getByRole('region', { name: 'Done of what was planned' });
  await expect(done.getByRole('row', { name: /^Juno Marlock 0 of 2/ })).toBeVisible();
  await expect(done.getByRole('row', { name: /^Rafe Lindhollow/ })).toHaveCount(0);

  await page.getByRole('button', { name: 'Juno Marlock', exact: true }).click();
  await page.getByRole('button', { name: /^In 12 sessions to come others are planned/ }).click();
  await expect(page.getByText('to come others are planned')).toBeHidden();
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await page.getByRole('button', { name: 'Take the weeks away' }).click();
  await page.getByRole('button', { name: 'Put them back' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('12 sessions');

  // Practice at home takes its minutes from the week.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/people');
  await page.getByRole('link', { name: 'Wren Hallowby' }).first().click();
  await page.getByRole('link', { name: 'A sheet for practice at home' }).click();
  await expect(page.getByText('40 minutes this week: 3 times about 14 minutes.')).toBeVisible();
  await expect(page.getByText(/^A clear, dry floor of \d/)).toBeVisible();
  await expectSound(page);
});
