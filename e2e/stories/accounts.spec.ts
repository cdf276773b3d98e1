import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { BrowserContext, Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { DEMO_CLUB } from './support/club.js';
import { Coach } from './support/coach.js';
import { fillAccount, invite, makeOwner, newDevice, PASSWORD } from './support/accounts.js';
import { hurry } from './support/hurry.js';
import { untouchedTest as test } from './support/served.js';
import { expectFits, expectSound } from './support/sound.js';

const places = (page: Page) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link').allTextContents();

test('a club gets its owner; a coach comes in by a link on a phone, and is out at once when their account goes', async ({
  page,
  browser,
  untouched,
}) => {
  await page.goto('/account');
  await expectSound(page);
  await makeOwner(page);
  await expectSound(page);
  const link = await invite(page, 'Rowan', 'coach');
  await expectSound(page);

  const phone = await newDevice(browser, untouched.address);
  await phone.goto(link);
  await expect(phone.getByRole('heading', { name: /invites you, Rowan$/ })).toBeVisible();
  await expectFits(phone);
  await expectSound(phone);
  await fillAccount(phone, 'Rowan', 'rowan@example.org');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByRole('link', { name: 'Start a drill with Amara Quill' })).toBeVisible();
  // Two presses from opening to a drill, as without an account.
  await phone.getByRole('link', { name: 'Start a drill with Amara Quill' }).click();
  await expect(phone.getByRole('button', { name: 'Start the set' })).toBeVisible();

  // A link works once.
  const late = await newDevice(browser, untouched.address);
  await late.goto(link);
  await expect(late.getByText(/Scan it again, or ask for a new one/)).toBeVisible();

  // Without an account there is a door, and it does not say who may come in.
  await late.goto('/');
  await expect(late.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expectSound(late);
  await expectFits(late);
  for (const email of ['mara@example.org', 'nobody@example.org']) {
    await late.getByRole('textbox', { name: 'Email address' }).fill(email);
    await late.getByLabel('Password', { exact: true }).fill('not the one');
    await late.getByRole('button', { name: 'Sign in' }).click();
    await expect(late.getByText(/password: given one that does not fit/)).toBeVisible();
  }
  await late.getByRole('textbox', { name: 'Email address' }).fill('mara@example.org');
  await late.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await late.getByRole('button', { name: 'Sign in' }).click();
  await expect(late.getByRole('link', { name: 'Who comes in' })).toBeVisible();

  await page.getByRole('button', { name: 'Done' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Take away the account of Rowan' }).click();
  await page.getByRole('button', { name: 'Yes, take it away' }).click();
  await expect(page.getByText('rowan@example.org')).toBeHidden();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  // The other device of the owner's own is ended from the list.
  await page.getByRole('button', { name: /^End .* of Mara Tolven$/ }).click();
  await expect(page.getByRole('button', { name: /^End .* of Mara Tolven$/ })).toBeHidden();
  await late.reload();
  await expect(late.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('a device at the floor runs a drill and opens no report; an athlete’s phone runs one at home and sees only their own @thorough', async ({
  page,
  browser,
  untouched,
}) => {
  test.slow();
  await makeOwner(page);
  const link = await invite(page, 'Amara’s phone', 'athlete', 'Amara Quill');

  await page.goto('/account');
  await page.getByRole('button', { name: 'Make this device one' }).click();
  await expect(page.getByRole('link', { name: 'Start a drill with Cass Ondry' })).toBeVisible();
  expect(await places(page)).toEqual(['Squad', 'Plan', 'Floor']);
  await expect(page.getByRole('link', { name: 'Cass Ondry', exact: true })).toBeHidden();
  await page.goto('/review');
  await expect(page.getByText(/^This is not for a device at the floor/)).toBeVisible();
  await page.addInitScript(hurry, 4);
  const coach = new Coach(page);
  await coach.goToFloor('Cass Ondry', { timedBy: 'The simulated athlete', reps: 3 });
  await coach.start();
  await coach.finished(3);
  await expect(page.getByText('all sent')).toBeVisible();

  const phone = await newDevice(browser, untouched.address);
  await phone.addInitScript(hurry, 4);
  await phone.goto(link);
  await phone.getByRole('button', { name: 'Only on this device, without a password' }).click();
  await expect(phone.getByRole('heading', { name: 'Your next step' })).toBeVisible();
  expect(await places(phone)).toEqual(['Yours', 'Floor']);
  await expectFits(phone);
  await expectSound(phone);
  await phone.getByRole('link', { name: 'Practise at home' }).click();
  await expect(phone.getByRole('link', { name: 'Run it on this device' })).toBeVisible();
  await phone.goto('/');
  await phone.getByRole('link', { name: 'Start a drill with Amara Quill' }).click();
  await expect(phone.getByRole('button', { name: 'Start the set' })).toBeVisible();
  const athlete = new Coach(phone);
  await athlete.timeBy('The simulated athlete');
  await athlete.fill('Reps', '3');
  await athlete.start();
  await athlete.finished(3);
  await athlete.seeReview();
  for (const other of ['/review', '/ladder', '/people'])
    await expect(async () => {
      await phone.goto(other);
      await expect(phone.getByText('Cass Ondry')).toBeHidden();
    }).toPass();
  const seen = await phone.request.get(`${DEMO_CLUB}/athletes`);
  expect((await seen.json()) as object[]).toHaveLength(1);
});

test('a set goes on when the device is signed out in the middle of it, and is stored once somebody signs in @thorough', async ({
  page,
  untouched,
}) => {
  test.slow();
  await makeOwner(page);
  await page.addInitScript(hurry, 4);
  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 4 });
  await coach.start();
  await untouched.run('delete from web_session');
  await coach.finished(4);
  await page.goto('/');
  await expect(page.getByText(/recorded on this device .* until somebody signs in/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Email address' }).fill('mara@example.org');
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('all sent')).toBeVisible({ timeout: 20_000 });
  const [row] = await untouched.read<{ n: string }>(
    `select count(*) as n from rep r join drill_set s on s.id = r.set_id
     where s.started_at > now() - interval '5 minutes'`,
  );
  expect(Number(row?.n)).toBe(4);
});

test('an owner elsewhere sees which phones joined the drill at the floor, and ends one @thorough', async ({
  page,
  context,
  browser,
  untouched,
}) => {
  await makeOwner(page);
  const floor = await context.newPage();
  await new Coach(floor).goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 4 });
  await floor.getByRole('button', { name: 'Second screen' }).click();
  const code = (await floor.getByRole('dialog').locator('strong').textContent()) ?? '';
  const phone = await newDevice(browser, untouched.address);
  await phone.goto(`/join/${code}`);
  await phone.getByRole('button', { name: 'Show the cues' }).click();
  await expect(phone.getByRole('heading', { name: 'Joined.' })).toBeVisible();
  await page.goto('/account');
  const joined = page.getByRole('list', { name: 'Screens that joined' }).getByRole('listitem');
  await expect(joined).toHaveCount(1);
  await expect(joined).toContainText(`in room ${code}, run by Mara Tolven`);
  await expectSound(page);
  await joined.getByRole('button').click();
  await expect(joined).toHaveCount(0);
  await expect(floor.getByText('No screen has joined yet.')).toBeVisible();
});

/** A page of somebody else's, at an address of its own. */
async function servePage(html: string): Promise<{ address: string; stop: () => void }> {
  const server = createServer((_, response) => {
    response.setHeader('Content-Type', 'text/html').end(html);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  return { address: `http://127.0.0.1:${port}`, stop: () => server.close() };
}

/** What a page's own scripts come by when they ask a server that the browser is signed in to. */
const stolen = async (context: BrowserContext, from: string, at: string) => {
  const page = await context.newPage();
  await page.goto(from);
  return page.evaluate(
    async ({ address, club }) => {
      const outcome = async (ask: () => Promise<unknown>) => {
        try {
          return await ask();
        } catch {
          return 'refused';
        }
      };
      const put = { method: 'PUT', credentials: 'include', body: '{"name":"Theirs"}' } as const;
      const json = { 'Content-Type': 'application/json' };
      return {
        read: await outcome(async () =>
          (await fetch(`${address}${club}/squad`, { credentials: 'include' })).text(),
        ),
        changed: await outcome(async () =>
          (await fetch(`${address}${club}`, { ...put, headers: json })).text(),
        ),
        // What a form sends a browser does not ask about before.
        formed: await outcome(async () => {
          const sent = await fetch(`${address}/api/sign-out`, {
            ...{ method: 'POST', credentials: 'include', mode: 'no-cors', body: 'a=b' },
          });
          return sent.type;
        }),
        joined: await outcome(
          () =>
            new Promise((done, fail) => {
              const query = 'room=ACDEFH&screen=somebody-else&role=panel';
              const socket = new WebSocket(`${address.replace('http', 'ws')}/api/live?${query}`);
              socket.onmessage = ({ data }) => done(String(data));
              socket.onclose = fail;
              socket.onerror = fail;
              setTimeout(() => done('joined'), 3000);
            }),
        ),
      };
    },
    { address: at, club: DEMO_CLUB },
  );
};

test('another page in the same browser reads, changes and joins nothing', async ({
  page,
  context,
  untouched,
}) => {
  await makeOwner(page);
  const elsewhere = await servePage('<title>Elsewhere</title>');
  try {
    const took = await stolen(context, elsewhere.address, untouched.address);
    expect(took).toEqual({
      read: 'refused',
      changed: 'refused',
      formed: 'opaque',
      joined: 'refused',
    });
    // Sent all the same, it was not done.
    const [club] = await untouched.read<{ name: string }>('select name from club');
    expect(club?.name).toBe('Tiller Lane Squash');
    await page.reload();
    await expect(page.getByRole('heading', { name: /^Signed in as Mara/ })).toBeVisible();
    // Nor does it show the app inside itself.
    const frame = await servePage(`<iframe src="${untouched.address}/account"></iframe>`);
    const framed = await context.newPage();
    await framed.goto(frame.address);
    await expect(framed.frameLocator('iframe').getByRole('heading')).toHaveCount(0);
    frame.stop();
  } finally {
    elsewhere.stop();
  }
});
