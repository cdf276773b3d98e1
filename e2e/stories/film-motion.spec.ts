import { expect } from '@playwright/test';
import { eventOf } from '@orthokin/core/timing';
import { clickFloor, FRAME_MS, REPS, sendCuesOnly, truthOf } from './support/film.js';
import { untouchedTest as test } from './support/served.js';

test('where to look for the first move is suggested and never marked; a camera that was knocked is noticed @thorough', async ({
  page,
}) => {
  const untimed = await sendCuesOnly(page);
  await page.goto(`/film/${untimed.set.id}`);
  const film = async (camera: string) => {
    await page.getByRole('button', { name: /Filmed with$/ }).click();
    await page.getByRole('option', { name: camera }).click();
    await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
    await expect(page.getByText(`${REPS} of ${REPS} cues heard in the film`)).toBeVisible({
      timeout: 120_000,
    });
  };
  await film('60 frames a second');
  const [first] = truthOf(untimed);
  const since = (name: 'cue' | 'firstMove') => eventOf(first?.events ?? [], name)?.atMs ?? NaN;
  await page.getByRole('button', { name: 'Where does the first move begin?' }).click();
  const said = page.getByText(/^Probably between/);
  await expect(said).toBeVisible({ timeout: 60_000 });
  const [from = NaN, to = NaN] = ((await said.innerText()).match(/\+[\d.]+/g) ?? []).map(
    (s) => 1000 * Number(s),
  );
  const truth = since('firstMove') - since('cue');
  expect(from).toBeLessThanOrEqual(truth);
  expect(to + FRAME_MS).toBeGreaterThanOrEqual(truth);
  // It opened those frames, and left the marking to whoever looks at them.
  await expect(page.getByRole('button', { name: /^First move/ })).toHaveAttribute(
    'aria-pressed',
    'false',
  );

  await page.getByRole('button', { name: 'Another film' }).click();
  await film('somebody knocks against it in the middle');
  await page.getByRole('button', { name: new RegExp(`^Rep ${first?.ordinal ?? 1},`) }).click();
  await page.getByRole('button', { name: 'Measure on the floor' }).click();
  for (const place of [...untimed.pattern.targets.map(({ at }) => at), { x: 0, y: 0 }])
    await clickFloor(page, place);
  await expect(page.getByText('Click two places on the floor')).toBeVisible();
  const moved = page.getByText(/The camera moved since the markers were clicked/);
  await expect(moved).toBeHidden();
  for (let rep = 1; rep < REPS; rep++) await page.getByRole('button', { name: 'Next rep' }).click();
  await expect(moved).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: new RegExp(`^Rep ${first?.ordinal ?? 1},`) }).click();
  await expect(moved).toBeHidden();
});
