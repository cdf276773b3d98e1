import { expect } from '@playwright/test';
import { hurry } from './support/hurry.js';
import { Coach } from './support/coach.js';
import { test } from './support/served.js';
import { expectSound } from './support/sound.js';

test.use({ fetchesAhead: true });

test('a page closed in mid-set keeps every finished rep and offers to go on', async ({
  context,
}) => {
  const first = new Coach(await context.newPage());
  await first.goToFloor('Idris Fennimar', { reps: 4 });
  await first.start();
  await first.playRep(1);
  await first.playRep(2);
  await first.cue(3);
  await first.page.keyboard.press('Space');

  // A second tab must not offer a set that is being run in the first.
  const beside = await context.newPage();
  await beside.goto('/floor');
  await expect(beside.getByRole('heading', { name: 'Who works?' })).toBeVisible();
  await beside.waitForTimeout(500);
  await expect(beside.getByText('was broken off')).toHaveCount(0);
  await beside.close();
  await first.page.close();

  const page = await context.newPage();
  const again = new Coach(page);
  await page.goto('/floor');
  await expect(page.getByText('was broken off after 2 of 4 reps')).toBeVisible();
  await page.getByRole('button', { name: 'Go on with the set' }).click();
  await again.playRep(3);
  await again.playRep(4);
  const { reps, set } = await again.seeReview();
  expect(set.endReason).toBe('completed');
  expect(reps.map(({ ordinal }) => ordinal)).toEqual([1, 2, 3, 4]);
});

test('without a network the set goes on, is reviewed on the device, and is sent when it is back', async ({
  page,
  context,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Wren Hallowby', { reps: 2 });
  await context.setOffline(true);
  await coach.start();
  await coach.playRep(1);
  await coach.playRep(2);
  await page.getByRole('button', { name: 'See where the time went' }).click();
  await expect(page.getByText('4 not sent yet')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('on this device');
  await expect(page.getByText('2 reps counted')).toBeVisible();
  await context.setOffline(false);
  const { reps } = await coach.storedReview();
  expect(reps).toHaveLength(2);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Not enough reps yet');
});

test('the same set posted twice is one set @thorough', async ({ page }) => {
  const coach = new Coach(page);
  const sent: { url: string; body: string }[] = [];
  page.on('request', (request) => {
    if (request.method() === 'PUT')
      sent.push({ url: request.url(), body: request.postData() ?? '' });
  });
  await coach.goToFloor('Lotte Brandvane', { reps: 2 });
  await coach.start();
  await coach.playRep(1);
  await coach.playRep(2);
  const once = await coach.seeReview();
  expect(sent).toHaveLength(4);
  for (const { url, body } of sent) {
    const again = await page.request.put(url, {
      data: body,
      headers: { 'Content-Type': 'application/json' },
    });
    expect(again.status()).toBe(200);
  }
  expect(await coach.storedReview()).toEqual(once);
});

test('what the server refuses is set aside, said with its reason, and holds up nothing else @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Cass Ondry', { reps: 2 });
  let spoilt = false;
  await page.route('**/reps/*', (route) => {
    if (spoilt) return route.continue();
    spoilt = true;
    const body = { ...(route.request().postDataJSON() as object), target: 'Z' };
    return route.continue({ postData: JSON.stringify(body) });
  });
  await coach.start();
  await coach.playRep(1);
  await coach.playRep(2);
  await page.getByRole('button', { name: 'See where the time went' }).click();
  await expect(page.getByText('1 record refused, kept here')).toBeVisible();
  await expect(page.getByText(/The server says: target: given Z/)).toBeVisible();
  await expect(page.getByText('1 rep counted, seconds')).toBeVisible();
});

test('the server goes away in mid-set and comes back; every rep is sent @thorough', async ({
  page,
  served,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Lotte Brandvane', { reps: 3 });
  await coach.start();
  await coach.playRep(1);
  await served.stop();
  await coach.playRep(2);
  await coach.playRep(3);
  await page.getByRole('button', { name: 'See where the time went' }).click();
  await expect(page.getByText(/\d not sent yet/)).toBeVisible();
  await served.restart();
  await expect(page.getByText('all sent')).toBeVisible({ timeout: 30_000 });
  const { reps, set } = await coach.storedReview();
  expect(reps.map(({ ordinal }) => ordinal)).toEqual([1, 2, 3]);
  expect(set.endReason).toBe('completed');
});

test('two change every set; a page that dies in the rest goes on with whoever is next @thorough', async ({
  context,
}) => {
  // Ready beforehand: the rest is ten seconds, and a slow machine needs most of them to open a page.
  const beside = await context.newPage();
  await beside.goto('/');
  await expect(beside.getByRole('link', { name: 'Floor' })).toBeVisible();
  const first = new Coach(await context.newPage());
  await first.goToFloor('Amara Quill', { timedBy: 'The simulated athlete', reps: 1 });
  await first.choose('Add to the rota', 'Juno Marlock');
  await first.choose('Order', 'mixed, every pair of targets alike often');
  await expect(first.page.getByText(/Every pair comes equally often after/)).toBeVisible();
  await first.start();
  await expect(first.page.getByText('Next: Juno Marlock')).toBeVisible({ timeout: 30_000 });

  // While one tab rests, another must not take the rota from it.
  await beside.getByRole('link', { name: 'Floor' }).click();
  await expect(beside.getByRole('heading', { name: 'Who works?' })).toBeVisible();
  await beside.waitForTimeout(500);
  await expect(beside.getByText('were broken off')).toHaveCount(0);
  await beside.close();
  await first.page.close();

  const page = await context.newPage();
  await page.addInitScript(hurry, 3);
  const again = new Coach(page);
  await page.goto('/floor');
  await expect(page.getByText('broken off before set 2 of 2, Juno Marlock')).toBeVisible();
  await page.getByRole('button', { name: 'Go on with the sets' }).click();
  await expect(page.getByText('Next: Juno Marlock')).toBeVisible();
  await expectSound(page);
  // The next set begins by itself when the rest is over.
  await expect(page.getByText(/^Juno Marlock, Four corners/)).toBeVisible({ timeout: 20_000 });
  await again.finished(1);
  // At the end everybody's sets stand on one page.
  await page.getByRole('button', { name: 'See where the time went' }).click();
  await page.waitForURL('**/review/together?sets=*');
  await expect(page.getByRole('link', { name: 'Amara Quill' })).toBeVisible();
  await expect(page.getByText(/^Not enough reps yet/).first()).toBeVisible();
  await expectSound(page);
  await page.getByRole('link', { name: 'Juno Marlock' }).click();
  const { athlete, set } = await again.storedReview();
  expect(athlete.name).toBe('Juno Marlock');
  expect(set.conditions.order).toBe('chained');
  await page.goto('/floor');
  await page.waitForTimeout(500);
  await expect(page.getByText('broken off')).toHaveCount(0);
});

test('two sets run in two tabs at once; each has its own reps and no other @thorough', async ({
  context,
}) => {
  const names = ['Oskar Tvedmoor', 'Wren Hallowby'] as const;
  const coaches: Coach[] = [];
  for (const name of names) {
    const coach = new Coach(await context.newPage());
    await coach.goToFloor(name, { reps: 2 });
    coaches.push(coach);
  }
  // A hidden page pauses; side by side in two windows both are seen.
  for (const { page } of coaches)
    await page.addInitScript(() =>
      Object.defineProperty(document, 'hidden', { get: () => false, configurable: true }),
    );
  for (const coach of coaches) {
    await coach.page.reload();
    await coach.page.bringToFront();
    await coach.start();
    await coach.playRep(1);
  }
  for (const coach of coaches) {
    await coach.page.bringToFront();
    // What ran out meanwhile is redone: the cue was not seen by anybody.
    if ((await coach.done()) < 2) await coach.playRep(2);
  }
  for (const [i, coach] of coaches.entries()) {
    await coach.page.bringToFront();
    const { athlete, set, reps } = await coach.seeReview();
    expect(athlete.name).toBe(names[i]);
    expect(set.endReason).toBe('completed');
    expect(reps.map(({ ordinal }) => ordinal)).toEqual([1, 2]);
  }
});

test('a device without room says so, and the reps are sent all the same @thorough', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const full = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    IDBObjectStore.prototype.put = full;
    IDBObjectStore.prototype.add = full;
    Storage.prototype.setItem = full;
  });
  const coach = new Coach(page);
  await coach.goToFloor('Oskar Tvedmoor', { reps: 2 });
  await coach.start();
  await expect(page.getByText('This device cannot keep the set')).toBeVisible();
  await coach.playRep(1);
  await coach.playRep(2);
  const { reps, set } = await coach.seeReview();
  expect(reps).toHaveLength(2);
  expect(set.endReason).toBe('completed');
});
