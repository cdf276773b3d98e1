import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect } from '@playwright/test';
import type { SetReviewReply } from '@orthokin/contract';
import { eventOf } from '@orthokin/core/timing';
import { openDemoSet } from '../stories/support/film.js';
import { untouchedTest as test } from '../stories/support/served.js';

const FOLDER = resolve(import.meta.dirname, '../../apps/web/src/film/simulate');

/** What tells the set from any other. */
const filmedSet = ({ set, reps }: SetReviewReply) => ({
  seed: set.seed,
  cues: reps
    .map(({ ordinal, target, events }) => ({
      ...{ ordinal, target, atMs: eventOf(events, 'cue')?.atMs ?? NaN },
    }))
    .sort((a, b) => a.ordinal - b.ordinal),
});

// Made by the app itself, like any film of the simulated athlete: only the waiting is saved.
test('the film that ships: the newest set of one of the demo club', async ({ page }) => {
  test.setTimeout(300_000);
  await page.route(/demo-film/, (route) => route.abort());
  const review = await openDemoSet(page);
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  const all = review.reps.length;
  await expect(page.getByText(`${all} of ${all} cues heard in the film`)).toBeVisible({
    timeout: 240_000,
  });
  await expect(page.getByText('Keeping the film on this device')).toBeHidden();
  const base64 = await page.evaluate(async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('film');
    for await (const own of folder.values()) {
      if (!(own instanceof FileSystemDirectoryHandle)) continue;
      const film = await (await own.getFileHandle('film')).getFile();
      const bytes = new Uint8Array(await film.arrayBuffer());
      return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
    }
    return '';
  });
  expect(base64).not.toBe('');
  writeFileSync(`${FOLDER}/demo-film.webm`, Buffer.from(base64, 'base64'));
  writeFileSync(`${FOLDER}/demo-film.json`, `${JSON.stringify(filmedSet(review), null, 2)}\n`);
});
