import { expect } from '@playwright/test';
import { fillAccount, invite, makeOwner, newDevice } from './support/accounts.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

test('a guardian’s question is answered: who has seen what is private; then the name goes, and the reps stay @thorough', async ({
  page,
  browser,
  untouched,
}) => {
  await makeOwner(page);
  const link = await invite(page, 'Rowan', 'coach');
  const phone = await newDevice(browser, untouched.address);
  await phone.goto(link);
  await fillAccount(phone, 'Rowan', 'rowan@example.org');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await phone.getByRole('link', { name: 'Amara Quill', exact: true }).click();
  await expect(phone.getByRole('heading', { name: 'Amara Quill' })).toBeVisible();
  await expect(phone.getByRole('link', { name: /^Who has seen/ })).toBeHidden();

  await page.goto('/people');
  await page.getByRole('link', { name: 'Amara Quill', exact: true }).click();
  await page.getByRole('link', { name: 'Who has seen what is private of Amara Quill' }).click();
  await expect(page.getByRole('heading', { name: /^2 people have seen or changed/ })).toBeVisible();
  const entries = page.getByRole('table', { name: 'By day and device' });
  await expect(
    entries.getByRole('row', { name: /^Rowan coach saw restrictions, checks and agreements 1/ }),
  ).toBeVisible();
  await expectSound(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.goto('/people');
  await page.getByRole('link', { name: 'Change Amara Quill' }).click();
  await page.getByRole('button', { name: 'Put away' }).click();
  await page
    .getByRole('list', { name: 'Put away' })
    .getByRole('link', { name: 'Amara Quill' })
    .click();
  await page.getByRole('link', { name: 'Change what is known' }).click();
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await page.getByRole('button', { name: /What goes$/ }).click();
  await page.getByRole('option', { name: 'their name; sets and reps stay' }).click();
  await expect(page.getByText(/stay under “Former athlete”/)).toBeVisible();
  await expectSound(page);
  await page.getByRole('button', { name: 'Yes, delete Amara Quill for good' }).click();
  await expect(
    page.getByRole('list', { name: 'Put away' }).getByRole('link', { name: 'Former athlete' }),
  ).toBeVisible();

  await page.getByRole('link', { name: 'What is kept of people' }).click();
  await expect(page.getByText(/by Mara Tolven: their name, and what was written/)).toBeVisible();
  await page.getByRole('button', { name: /Keep those who do not train/ }).click();
  await page.getByRole('option', { name: '2 years', exact: true }).click();
  await expect(
    page.getByRole('heading', { name: 'Nobody is kept longer than you mean to keep them.' }),
  ).toBeVisible();
  await expectSound(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /2 years/ })).toBeVisible();
});
