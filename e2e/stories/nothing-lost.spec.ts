import { expect, test } from '@playwright/test';
import { Coach } from './support/coach.js';

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

test('the same set posted twice is one set', async ({ page }) => {
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

test('what the server refuses is set aside, said with its reason, and holds up nothing else', async ({
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
