import { expect, type Page } from '@playwright/test';
import type { SetReviewReply } from '@orthokin/contract';
import { StandIn, standingOf } from './support/beacons.js';
import { Coach } from './support/coach.js';
import { test } from './support/served.js';
import { expectSound } from './support/sound.js';

let standIn: StandIn;
test.beforeAll(async () => {
  standIn = await StandIn.start();
});
test.afterAll(() => standIn.stop());

async function goToBeacons(page: Page, athlete: string, query: string, reps: number) {
  const coach = new Coach(page);
  await coach.goToFloor(athlete, { reps });
  await coach.timeBy('Beacons');
  const address = page.getByRole('textbox', { name: 'Address of the gateway' });
  await address.fill(standIn.address(query));
  await address.press('Enter');
  await expect(page.getByText('Linked: 13 devices.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Beacons' })).toContainText(/home: ±\d+\sms/);
  return coach;
}

/** Every stored event must have happened, at its place and within its own error; none twice. */
function expectTrue(review: SetReviewReply): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { name, ordinal, target, sdMs, offMs } of standIn.compare(review)) {
    // With its light flat a cue was only seen on the screen.
    if (name === 'cue' && target === 'A') continue;
    expect(offMs, `${name} of rep ${ordinal} happened`).not.toBeNull();
    expect(Math.abs(offMs ?? NaN), `${name} of rep ${ordinal}`).toBeLessThan(4 * sdMs + 20);
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return counts;
}

test('mats and lights time a set by themselves, each event with its own error @thorough', async ({
  page,
}) => {
  const coach = await goToBeacons(page, 'Amara Quill', 'seed=4', 3);
  await coach.start();
  await coach.finished(3);
  const review = await coach.seeReview();
  expect(review.set.source).toBe('sensor');
  const counts = expectTrue(review);
  for (const name of ['firstMove', 'arrival', 'action', 'home']) expect(counts.get(name)).toBe(3);
  await expect(page.getByText('Timed by sensors')).toBeVisible();
});

test('with every fault switched on, finished reps are right or say what is missing; none is invented @thorough', async ({
  page,
}) => {
  // With two targets in play A is called again after its light went flat.
  const coach = await goToBeacons(page, 'Wren Hallowby', 'seed=8&faults=all', 6);
  await coach.start();
  await expect(
    page
      .getByText(/A: gone/)
      .or(page.getByText(/Nothing at A/))
      .first(),
  ).toBeVisible({
    timeout: 40_000,
  });
  await coach.finished(6);
  await page.waitForTimeout(1500);
  const review = await coach.seeReview();
  const reps = standingOf(review.reps);
  expect(reps).toHaveLength(6);
  const counts = expectTrue(review);
  // The mat lives: what was lost on the way was asked for again, and came.
  expect(counts.get('home')).toBe(6);
  expect(counts.get('firstMove')).toBe(6);
  // The light of A went flat in mid-set: its events are missing from then on, not guessed.
  for (const rep of reps.filter(({ target }) => target !== 'A'))
    expect(rep.events.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['cue', 'firstMove', 'arrival', 'action', 'home']),
    );
});

test('a page connects to a gateway on the network once a coach has let it @thorough', async ({
  page,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Amara Quill', { reps: 3 });
  await coach.timeBy('Beacons');
  const address = page.getByRole('textbox', { name: 'Address of the gateway' });
  await address.fill('somewhere');
  await address.press('Enter');
  await expect(page.getByText('An address begins with ws:// or wss://')).toBeVisible();
  const gateway = 'ws://192.0.2.7:4320';
  await address.fill(gateway);
  await address.press('Enter');
  await expect(page.getByText(`do not connect to ${gateway} yet`)).toBeVisible();
  await expectSound(page);
  const opened = page.waitForResponse((response) => response.url().includes('/floor'));
  await page.getByRole('button', { name: 'Let them connect' }).click();
  const policy = (await (await opened).allHeaders())['content-security-policy'];
  expect(policy).toContain(gateway);
  await coach.timeBy('Beacons');
  const named = page.getByRole('list', { name: /^Gateways that pages of this club/ });
  await expect(named.getByRole('listitem')).toHaveText([new RegExp(gateway)]);
  await expect(address).toHaveValue(gateway);
  await expect(page.getByText('No gateway answers there; trying again.')).toBeVisible();
  await named.getByRole('button').click();
  await expect(named).toBeHidden();
  await expect(page.getByText(`do not connect to ${gateway} yet`)).toBeVisible();
});
