import { expect } from '@playwright/test';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

/** Sixty good rows, one double, two that cannot be read. */
const TABLE = [
  'Player;Date of birth;Plays;Height;Team',
  ...Array.from(
    { length: 60 },
    (_, i) =>
      `Pupil ${String(i + 1).padStart(2, '0')};${2010 + (i % 6)}-0${(i % 9) + 1}-11;;1.${40 + (i % 30)};${i % 2 ? 'Blue' : 'Green'}`,
  ),
  'juno  marlock;;;;',
  'Bad Date;2014-02-30;;;',
  'Bad Height;2014-02-20;;9 m;',
].join('\n');

test('a roster of sixty comes from a file: bad rows are named, doubles left to the coach @thorough', async ({
  page,
}) => {
  await page.goto('/people');
  await page.getByRole('link', { name: 'Bring many in from a table' }).click();
  await expectSound(page);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a table' }).click();
  await (
    await chooser
  ).setFiles({ name: 'club.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) });
  await expect(page.getByText('63 rows: 61 can be added, 2 cannot be read.')).toBeVisible();
  const out = page.getByRole('list', { name: 'Rows that stay out' });
  await expect(out.getByText(/Row 62, born: given 2014-02-30, allowed a day/)).toBeVisible();
  await expect(out.getByText(/Row 63, height: given 9\sm/)).toBeVisible();
  await expectSound(page);

  const table = page.getByRole('grid', { name: 'People of the table' });
  await table.getByRole('row', { name: /Pupil 01/ }).click();
  await page.getByRole('button', { name: 'Add 59 athletes' }).click();
  await expect(page.getByText('59 athletes were added.')).toBeVisible();
  await page.getByRole('link', { name: 'See them' }).click();
  await page.getByLabel('Search').fill('pupil');
  const people = page.getByRole('list', { name: 'People' });
  await expect(people.getByRole('listitem')).toHaveCount(59);
  await expect(people.getByText('Pupil 01')).toHaveCount(0);

  // Brought in again they are all somebody twice, and nobody is added unasked.
  await page.goto('/people/bring');
  await page.getByLabel('or paste it').fill(TABLE);
  await expect(page.getByRole('button', { name: 'Add one athlete' })).toBeVisible();
});
