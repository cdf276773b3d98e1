import { expect, type Page } from '@playwright/test';
import { Coach } from './support/coach.js';
import { hurry } from './support/hurry.js';
import { test, untouchedTest } from './support/served.js';
import { expectSound } from './support/sound.js';

/** Like a browser that has never been here. */
const fresh = { cookies: [], origins: [] };

async function choose(page: Page, label: string, option: RegExp | string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`${label}$`) }).click();
  await page.getByRole('option', { name: option }).click();
}

untouchedTest.describe('on the first opening', () => {
  untouchedTest.use({ storageState: fresh });

  untouchedTest(
    'a club of one’s own is begun for another sport, and a drill in it is timed and reviewed @thorough',
    async ({ page }) => {
      await page.addInitScript(hurry, 4);
      const coach = new Coach(page);
      await page.goto('/');
      await expect(page.getByRole('heading', { level: 1 })).toContainText('demo club');
      await expectSound(page);
      await page.getByRole('button', { name: 'Begin a club of your own' }).click();
      await expect(page.getByRole('button', { name: 'Begin, and go to the floor' })).toBeDisabled();
      await page.getByLabel('Name of the club').fill('Harbour Lane');
      await choose(page, 'Floor', /badminton/);
      await expect(page.getByLabel('Sport')).toHaveValue('badminton');
      await choose(page, 'Lengths in', 'feet');
      await page.getByLabel('Name', { exact: true }).fill('Nell Harrowby');
      await choose(page, 'Playing hand', 'left');
      await expectSound(page);
      await page.getByRole('button', { name: 'Begin, and go to the floor' }).click();

      await expect(page.getByRole('heading', { name: /Nell Harrowby/ })).toBeVisible();
      await expect(page.getByRole('link', { name: /Harbour Lane/ })).toBeVisible();
      await coach.timeBy('The simulated athlete');
      await coach.start();
      await coach.finished(10);
      const { set } = await coach.seeReview();
      expect(set.rung).toBe(1);
      await expect(page.getByText(/Nell Harrowby, .*First steps/)).toBeVisible();

      // Nothing of the demo is mixed in, and the demo is as it was.
      await page.goto('/');
      await expect(page.getByRole('listitem')).toHaveCount(1);
      await page.getByRole('link', { name: /Harbour Lane/ }).click();
      await page.getByRole('button', { name: 'Open Tiller Lane Squash' }).click();
      await expect(
        page.getByRole('link', { name: 'Start a drill with Oskar Tvedmoor' }),
      ).toBeVisible();
      await page.reload();
      await expect(
        page.getByRole('link', { name: 'Start a drill with Oskar Tvedmoor' }),
      ).toBeVisible();
      await expect(page.getByText('Nell Harrowby')).toHaveCount(0);
    },
  );
});

untouchedTest.describe('on a device that has never been here', () => {
  untouchedTest.use({ storageState: fresh });

  untouchedTest(
    'the demo is walked through in five stops, thrown away, and brought back @thorough',
    async ({ page }) => {
      await page.goto('/');
      await page.getByRole('button', { name: 'Open Tiller Lane Squash' }).click();
      const walk = page.getByRole('region', { name: 'A short walk' });
      await expectSound(page);
      for (const [n, path] of [/\/$/, /floor/, /review/, /ladder/, /patterns/].entries()) {
        await expect(walk.getByText(`${n + 1} of 5.`)).toBeVisible();
        await expect(page).toHaveURL(path);
        if (n < 4) await walk.getByRole('button', { name: 'Go on' }).click();
      }
      await walk.getByRole('button', { name: 'That was all' }).click();
      await expect(walk).toHaveCount(0);

      // It is found again under the question mark, and can be left at any stop.
      await page.getByRole('button', { name: 'Keys' }).click();
      await page.getByRole('button', { name: 'Take the short walk' }).click();
      await expect(walk.getByText('1 of 5.')).toBeVisible();
      await walk.getByRole('button', { name: 'Leave the walk' }).click();
      await expect(walk).toHaveCount(0);

      await page.getByRole('link', { name: /Tiller Lane Squash/ }).click();
      await page.getByRole('button', { name: 'Throw the demo club away' }).click();
      await page.getByRole('button', { name: 'Yes, throw it away' }).click();
      const back = page.getByRole('button', { name: 'Bring the demo club back' });
      await back.click();
      await page
        .getByRole('button', { name: 'Open Tiller Lane Squash' })
        .click({ timeout: 40_000 });
      await expect(
        page.getByRole('link', { name: 'Start a drill with Juno Marlock' }),
      ).toBeVisible();
      await expect(walk).toHaveCount(0);
    },
  );
});

test('an athlete is added, changed, put away, brought back, and deleted for good', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Add an athlete' }).click();
  await expect(page.getByText('A name is needed.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Tam Okell');
  await page.getByLabel('Height').fill('9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Height');
  await page.getByLabel('Height').fill('168 cm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('usually about 0.44 m at this height')).toBeVisible();
  await page.getByLabel('Goal, in their own words').fill('Home sooner.');
  await expectSound(page);
  await page.getByRole('button', { name: 'Add Tam Okell' }).click();
  const people = page.getByRole('list', { name: 'People' });
  await expect(people.getByRole('link', { name: 'Tam Okell', exact: true })).toBeVisible();
  await expectSound(page);

  await page.getByLabel('Search').fill('home soon');
  await expect(people.getByRole('listitem')).toHaveCount(1);
  await people.getByRole('link', { name: 'Change Tam Okell' }).click();
  await page.getByLabel('Called across the floor').fill('Tam');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Tam Okell, called Tam' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the people' }).click();
  await expect(people.getByText('(Tam)')).toBeVisible();

  await people.getByRole('link', { name: 'Change Tam Okell' }).click();
  await page.getByRole('button', { name: 'Put away' }).click();
  const away = page.getByRole('list', { name: 'Put away' });
  await expect(away.getByText('Tam Okell')).toBeVisible();
  await away.getByRole('button', { name: 'Bring Tam Okell back' }).click();
  await expect(people.getByText('Tam Okell')).toBeVisible();
  await people.getByRole('link', { name: 'Change Tam Okell' }).click();
  await page.getByRole('button', { name: 'Put away' }).click();
  await away.getByRole('link', { name: 'Tam Okell' }).click();
  await page.getByRole('link', { name: 'Change what is known' }).click();
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.getByRole('link', { name: 'Take the whole club out first' })).toBeVisible();
  await page.getByRole('button', { name: 'Yes, delete Tam Okell for good' }).click();
  await expect(people).toBeVisible();
  await expect(page.getByText('Tam Okell')).toHaveCount(0);
});
