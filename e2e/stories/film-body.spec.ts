import { expect, type Page } from '@playwright/test';
import {
  figureAt,
  figureSeenBy,
  USUAL_CAMERA,
  type BodyPointName,
  type FilmedRep,
} from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { eventOf } from '@orthokin/core/timing';
import { bringDemoFilm, stepTo, truthOf } from './support/film.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

/** Points that a model finds on a drawn figure too; its hands and toes are blobs. */
const JOINTS: readonly (readonly [BodyPointName, string])[] = [
  ['leftShoulder', 'left shoulder'],
  ['rightShoulder', 'right shoulder'],
  ['leftHip', 'left hip'],
  ['rightHip', 'right hip'],
  ['leftKnee', 'left knee'],
  ['rightKnee', 'right knee'],
  ['leftAnkle', 'left ankle'],
  ['rightAnkle', 'right ankle'],
];
/** A tenth of the figure’s height. */
const NEAR = 1 / 10;

/** The simulated athlete's joints in the picture: shares of its width from its middle. */
const truly = (reps: readonly FilmedRep[], atMs: number, name: BodyPointName): Point =>
  figureSeenBy(USUAL_CAMERA, figureAt(reps, atMs)[name]);

/** Every joint found is where it truly is, as near as a coach would put it. */
async function expectJoints(page: Page, reps: readonly FilmedRep[], atMs: number): Promise<void> {
  const picture = await page
    .getByRole('group', { name: 'The picture with the body found in it' })
    .boundingBox();
  if (!picture) throw new Error('no picture');
  const tall = truly(reps, atMs, 'leftAnkle').y - truly(reps, atMs, 'nose').y;
  for (const [name, words] of JOINTS) {
    const box = await page.getByRole('button', { name: `Move the ${words}` }).boundingBox();
    if (!box) throw new Error(words);
    const found = {
      x: (box.x + box.width / 2 - picture.x - picture.width / 2) / picture.width,
      y: (box.y + box.height / 2 - picture.y - picture.height / 2) / picture.width,
    };
    const { x, y } = truly(reps, atMs, name);
    expect(Math.hypot(found.x - x, found.y - y) / tall, words).toBeLessThan(NEAR);
  }
}

test('the body is found by a model on the device, followed through the rep, confirmed and measured @thorough', async ({
  page,
}) => {
  // The model and the film share the machine with other stories.
  test.slow();
  const away: string[] = [];
  page.on('request', (request) => {
    const { hostname, protocol } = new URL(request.url());
    if (protocol.startsWith('http') && hostname !== 'localhost' && hostname !== '127.0.0.1')
      away.push(request.url());
  });
  const made: string[] = [];
  page.on('worker', (worker) => made.push(worker.url()));
  const reps = truthOf(await bringDemoFilm(page));
  // It ships with the app: nobody waits for it to be made.
  expect(made.filter((url) => url.includes('film-maker'))).toEqual([]);
  const events = reps[0]?.events ?? [];
  const cueMs = eventOf(events, 'cue')?.atMs ?? NaN;
  const arrivalMs = (eventOf(events, 'arrival')?.atMs ?? NaN) - cueMs;
  await stepTo(page, arrivalMs + 60);
  await page.keyboard.press('KeyA');
  await stepTo(page, arrivalMs + 140);
  await page.keyboard.press('KeyH');
  // To the cue, where the stance is.
  await page.getByRole('button', { name: new RegExp(`^Rep ${reps[0]?.ordinal ?? 1},`) }).click();

  const body = page.getByRole('region', { name: 'The body' });
  await body.getByRole('button', { name: 'Find the body' }).click();
  const picture = page.getByRole('img', { name: /^The picture: click between the hips/ });
  const click = async (heightOf: BodyPointName, up = 0) => {
    const box = await picture.boundingBox();
    if (!box) throw new Error('no picture');
    const { y } = truly(reps, cueMs, heightOf);
    await picture.click({
      position: { x: box.width / 2, y: box.height / 2 + box.width * (y - up) },
    });
  };
  // A wall has no body.
  await picture.click({ position: { x: 40, y: 20 } });
  await picture.click({ position: { x: 40, y: 8 } });
  await expect(body.getByText('No body was found there.')).toBeVisible({ timeout: 60_000 });
  await click('leftHip');
  await expect(body.getByText('Now click the top of the head.')).toBeVisible();
  await click('nose', 0.02);
  await expect(body.getByText('Is it right?')).toBeVisible({ timeout: 60_000 });
  await expectJoints(page, reps, cueMs);
  await expectSound(page);
  await body.getByRole('button', { name: 'That is right' }).click();
  await expect(body.getByText('Counted as you left it.')).toBeVisible();

  await body.getByRole('button', { name: 'Follow it through the rep' }).click();
  await expect(body.getByText(/^Following the body/)).toBeVisible();
  await expect(body.getByText(/^Following the body/)).toBeHidden({ timeout: 120_000 });
  await page.keyboard.press('ArrowDown');
  await expectJoints(page, reps, cueMs + arrivalMs + 60);
  const angles = body.getByRole('row', { name: /^left knee/ });
  await expect(angles.getByRole('cell')).toHaveText([/^1[4-7]\d°$/, /^1[3-7]\d°$/, /^1[3-7]\d°$/]);

  // A point that is moved by key counts as it was left, and is there when the page is opened again.
  const knee = page.getByRole('button', { name: 'Move the left knee' });
  const before = await knee.boundingBox();
  await knee.press('ArrowLeft');
  await knee.press('ArrowLeft');
  const after = await knee.boundingBox();
  expect((before?.x ?? NaN) - (after?.x ?? NaN)).toBeCloseTo(2, 0);
  await page.reload();
  await expect(body.getByRole('columnheader', { name: /Load\s*confirmed/ })).toBeVisible({
    timeout: 60_000,
  });
  expect(away).toEqual([]);
});
