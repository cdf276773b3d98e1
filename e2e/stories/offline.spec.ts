import { expect, type Page } from '@playwright/test';
import type { PersonReply } from '@orthokin/contract';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { makeOwner, PASSWORD } from './support/accounts.js';
import { DEMO_CLUB } from './support/club.js';
import { Coach } from './support/coach.js';
import { hurry } from './support/hurry.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';
import { Through } from './support/through.js';

test.use({ fetchesAhead: true, serviceWorkers: 'allow', actionTimeout: 20_000 });

/** One visit, until everything is put aside. */
async function visitOnce(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: 'all sent' }).click();
  await expect(
    page.getByRole('heading', { name: 'Everything here opens without a network' }),
  ).toBeVisible({ timeout: 60_000 });
}

const nobodyAnswers = (page: Page) => page.getByText(/The server does not answer\. What you see/);

test('after one visit every place opens without a network; a set that is run there arrives later, once @thorough', async ({
  page,
  untouched,
}) => {
  test.slow();
  await page.addInitScript(hurry, 4);
  await visitOnce(page);
  await expectSound(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectFits(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  const manifest = await page.request.get('/manifest.webmanifest');
  expect(await manifest.json()).toMatchObject({ name: 'Orthokin', display: 'standalone' });
  const setsBefore = await untouched.read<{ n: string }>('select count(*) as n from drill_set');
  await untouched.stop();

  // Opened anew, with nobody there to answer.
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Start a drill with Amara Quill' })).toBeVisible();
  await expect(nobodyAnswers(page)).toBeVisible();
  await expectSound(page);
  const places: readonly [link: string, there: string | RegExp][] = [
    ['Plan', 'Held lately'],
    ['Patterns', 'Star from the T'],
    ['Review', 'Newest sets'],
    ['Ladder', 'What would a rule do?'],
    ['Film', 'Whose film?'],
  ];
  for (const [link, there] of places) {
    await page
      .getByRole('navigation', { name: 'Places' })
      .getByRole('link', { name: link })
      .click();
    await expect(page.getByText(there).first()).toBeVisible();
  }
  await page.goto('/people');
  await page.getByRole('link', { name: 'Cass Ondry', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Cass Ondry' })).toBeVisible();
  await page.getByRole('link', { name: 'A sheet for practice at home' }).click();
  await expect(page.getByRole('link', { name: 'Run it on this device' })).toBeVisible();

  // Whoever comes next works too.
  const coach = new Coach(page);
  await coach.goToFloor('Wren Hallowby', { timedBy: 'The simulated athlete', reps: 3 });
  await coach.start();
  await coach.finished(3);
  // So does somebody who was never here before.
  await page.goto('/people/new');
  await page.getByLabel('Name', { exact: true }).fill('Tam Okell');
  await page.getByRole('button', { name: 'Add, and start a drill' }).click();
  await expect(page.getByRole('heading', { name: /^Tam Okell, ready/ })).toBeVisible();
  await coach.timeBy('The simulated athlete');
  await coach.fill('Reps', '3');
  await coach.start();
  await coach.finished(3);
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Start a drill with Tam Okell' })).toBeVisible();
  await expect(page.getByText(/not sent yet, kept here/)).toBeVisible();

  await untouched.restart();
  await expect(page.getByRole('link', { name: 'all sent' })).toBeVisible({ timeout: 30_000 });
  const setsAfter = await untouched.read<{ n: string }>('select count(*) as n from drill_set');
  expect(Number(setsAfter[0]?.n)).toBe(Number(setsBefore[0]?.n) + 2);
  await page.reload();
  await expect(nobodyAnswers(page)).toBeHidden();
  await expect(page.getByRole('link', { name: 'Tam Okell', exact: true })).toBeVisible();
});

test('without a network a set is answered by what this device knows, a move waits for it, and the server says where it differs @thorough', async ({
  page,
  untouched,
}) => {
  test.slow();
  await page.addInitScript(hurry, 4);
  await visitOnce(page);
  await untouched.stop();
  await page.goto('/');
  const coach = new Coach(page);
  await coach.goToFloor('Juno Marlock', { timedBy: 'The simulated athlete', reps: 8 });
  await coach.start();
  await coach.finished(8);
  await expect(page.getByText('Said by this device, from the sets it knows of.')).toBeVisible();
  await expectSound(page);

  // Whatever it says, the coach may see it otherwise; the next set is on that rung.
  await page.goto('/ladder');
  await page
    .getByRole('link', { name: /Juno Marlock/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Decide otherwise' }).click();
  await page.getByRole('textbox', { name: /^Reason/ }).fill('Calm feet all week.');
  await page.getByRole('button', { name: /^(Put|Keep) on rung/ }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByText('on a device without a network')).toBeVisible();
  await expect(page.getByText(/not sent yet, kept here/)).toBeVisible();

  await untouched.restart();
  await expect(page.getByRole('link', { name: 'all sent' })).toBeVisible({ timeout: 30_000 });
  const moves = await untouched.read<{ on_device: boolean; reason: string }>(
    'select on_device, reason from rung_move order by seq desc limit 1',
  );
  expect(moves).toEqual([{ on_device: true, reason: 'Calm feet all week.' }]);
});

test('what two people changed at once is kept from both; whoever comes second sees both and chooses @thorough', async ({
  page,
  context,
  untouched,
}) => {
  test.slow();
  await visitOnce(page);
  const goalOf = async () => {
    const people = (await (
      await page.request.get(`${DEMO_CLUB}/athletes`)
    ).json()) as PersonReply[];
    return people.find(({ name }) => name === 'Cass Ondry')?.goal;
  };
  const change = async (at: Page, goal: string) => {
    await at.goto('/people');
    await at.getByRole('link', { name: 'Change Cass Ondry' }).click();
    await at.getByRole('textbox', { name: 'Goal, in their own words' }).fill(goal);
  };
  const both = page.getByRole('region', { name: /^Somebody else has changed/ });

  // Both at their desks.
  const other = await context.newPage();
  await change(other, 'Home sooner.');
  await change(page, 'Quieter feet.');
  await other.getByRole('button', { name: 'Save', exact: true }).click();
  await expect.poll(goalOf).toBe('Home sooner.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(both.getByRole('row', { name: /Quieter feet\. Home sooner\./ })).toBeVisible();
  expect(await goalOf()).toBe('Home sooner.');
  await expectSound(page);
  await both.getByRole('button', { name: 'Keep yours' }).click();
  await expect.poll(goalOf).toBe('Quieter feet.');

  // One of them without a network: the change comes back to whoever made it.
  await untouched.stop();
  await change(page, 'Eyes up.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/not sent yet, kept here/)).toBeVisible();
  await untouched.run(`update athlete set goal = 'Softer split.', revision = revision + 1`);
  await untouched.restart();
  const told = page.getByText(/Cass Ondry was changed on this device and elsewhere/);
  await expect(told).toBeVisible({ timeout: 30_000 });
  await page.getByRole('link', { name: 'Look at both' }).click();
  await expect(both.getByRole('row', { name: /Eyes up\. Softer split\./ })).toBeVisible();
  await both.getByRole('button', { name: 'Keep it as it is now' }).click();
  await expect(told).toBeHidden();
  expect(await goalOf()).toBe('Softer split.');

  // A session, planned on two screens.
  await page.goto('/plan');
  await page.getByRole('button', { name: 'A squad at two stations' }).click();
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/, { timeout: 15_000 });
  const saved = (at: Page) => at.getByRole('status').filter({ hasText: /^saved$/ });
  await expect(saved(page)).toBeVisible();
  await other.goto(page.url());
  const minutes = (at: Page) => at.getByRole('textbox', { name: 'Time there is, min' });
  await minutes(other).fill('80');
  await minutes(other).press('Tab');
  await expect(saved(other)).toBeVisible();
  await minutes(page).fill('95');
  await minutes(page).press('Tab');
  await expect(both.getByRole('row', { name: /95\smin 80\smin/ })).toBeVisible();
  await both.getByRole('button', { name: 'Keep yours' }).click();
  await expect(both).toBeHidden();
  await expect(saved(page)).toBeVisible();
  await other.reload();
  await expect(minutes(other)).toHaveValue('95');
});

test('a device that is ended gives up what it had put aside @thorough', async ({
  page,
  untouched,
  browser,
}) => {
  await page.goto('/');
  await makeOwner(page);
  await visitOnce(page);
  const kept = () =>
    page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name));
  const replies = () =>
    page.evaluate(
      () =>
        new Promise<{ count: number; text: string }>((done) => {
          const opening = indexedDB.open('orthokin-kept');
          opening.onsuccess = () => {
            const db = opening.result;
            const all = db.transaction('replies').objectStore('replies').getAll();
            all.onsuccess = () => {
              db.close();
              const rows = all.result as { sealed: ArrayBuffer }[];
              const decoder = new TextDecoder('latin1');
              done({
                count: rows.length,
                text: rows.map(({ sealed }) => decoder.decode(sealed)).join(''),
              });
            };
          };
        }),
    );
  expect(await kept()).toContain('orthokin-kept');
  const before = await replies();
  expect(before.count).toBeGreaterThan(30);
  expect(before.text).not.toContain('Amara');

  const elsewhere = await browser.newContext({
    baseURL: untouched.address,
    storageState: { cookies: [], origins: [] },
  });
  const signIn = { email: 'mara@example.org', password: PASSWORD };
  await elsewhere.request.post('/api/sign-in', { data: signIn });
  const devices = await elsewhere.request.get(`${DEMO_CLUB}/devices`);
  for (const { id, isThis } of (await devices.json()) as { id: string; isThis: boolean }[])
    if (!isThis) await elsewhere.request.delete(`${DEMO_CLUB}/devices/${id}`);
  await page.goto('/people');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect.poll(async () => (await replies()).count).toBeLessThan(3);
  // Without a network there is nothing to open either.
  await untouched.stop();
  await page.goto('/people');
  await expect(page.getByText('Amara Quill')).toBeHidden();
  await untouched.restart();
});

test('a newer version is offered between sets, and never in one @thorough', async ({
  browser,
  untouched,
}) => {
  const through = await Through.to(untouched.address);
  const context = await browser.newContext({
    ...{ baseURL: through.address, serviceWorkers: 'allow' },
    storageState: {
      cookies: [],
      origins: [
        {
          origin: through.address,
          localStorage: [{ name: 'orthokin.club', value: JSON.stringify(DEMO_CLUB_ID) }],
        },
      ],
    },
  });
  const page = await context.newPage();
  await page.addInitScript(hurry, 4);
  await visitOnce(page);
  const newer = page.getByText('A newer version of Orthokin is here.');
  const coach = new Coach(page);
  await coach.goToFloor('Wren Hallowby', { timedBy: 'The simulated athlete', reps: 6 });
  await coach.start();
  through.added = '\n// Newer.';
  await page.evaluate(async () => {
    const registration = await navigator.serviceWorker.getRegistration();
    await registration?.update();
    while (!registration?.waiting) await new Promise((done) => setTimeout(done, 50));
  });
  await coach.finished(6);
  await expect(newer).toBeHidden();
  await coach.seeReview();
  await expect(newer).toBeVisible();
  await expectSound(page);
  const again = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Take it now' }).click();
  await again;
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(newer).toBeHidden();
  await context.close();
  through.stop();
});
