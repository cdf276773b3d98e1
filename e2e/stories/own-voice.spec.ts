import { expect } from '@playwright/test';
import { wholeChromium } from '../chromium.js';
import { Coach } from './support/coach.js';
import { test } from './support/served.js';
import { expectSound } from './support/sound.js';

test.use({ launchOptions: wholeChromium });

test('the coach lends the drill a voice; without a microphone the reason is said @thorough', async ({
  page,
  context,
}) => {
  const coach = new Coach(page);
  await coach.goToFloor('Wren Hallowby');
  await coach.choose('To hear', 'a voice');
  await coach.choose('The voice', 'recorded by you');
  await page.getByRole('button', { name: 'Record the words' }).click();
  const hear = page.getByRole('button', { name: 'Hear A', exact: true });
  await page.getByRole('button', { name: 'Record A', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: 'microphone' })).toBeVisible();
  await expect(hear).toBeDisabled();

  await context.grantPermissions(['microphone']);
  await page.getByRole('button', { name: 'Record A', exact: true }).click();
  await expect(page.getByText('Say “A” now…')).toBeVisible();
  await expect(hear).toBeEnabled();
  await expectSound(page);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await coach.open('Cues');
  await expect(page.getByText(/\d+ of \d+ words are not recorded yet/)).toBeVisible();
  const recorded = await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((opened, failed) => {
      const asking = indexedDB.open('orthokin-voice');
      asking.onsuccess = () => opened(asking.result);
      asking.onerror = () => failed(new Error('not opened'));
    });
    const blob = await new Promise<Blob>((found) => {
      const reading = db.transaction('words').objectStore('words').get('a');
      reading.onsuccess = () => found(reading.result as Blob);
    });
    const audio = new OfflineAudioContext(1, 1, 48_000);
    const samples = (await audio.decodeAudioData(await blob.arrayBuffer())).getChannelData(0);
    return { onsetMs: samples.findIndex((s) => Math.abs(s) > 0.06) / 48, length: samples.length };
  });
  // What is planned for a moment is heard at that moment.
  expect(recorded.onsetMs).toBeLessThan(10);
  expect(recorded.length).toBeGreaterThan(1000);
});
