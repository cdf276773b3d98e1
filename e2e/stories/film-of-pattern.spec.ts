import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { chooseFilm } from './support/film.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

/** A second and a half of something that moves, as a phone might send it. */
async function shortFilm(page: Page, isSeeThrough = false): Promise<Buffer> {
  const base64 = await page.evaluate(async (alpha) => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 320, height: 180 });
    const pen = canvas.getContext('2d', { alpha });
    const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm' });
    const pieces: Blob[] = [];
    recorder.ondataavailable = ({ data }) => pieces.push(data);
    recorder.start();
    for (let frame = 0; frame < 45; frame++) {
      pen?.fillRect(4 * frame, 60, 40, 60);
      await new Promise((next) => setTimeout(next, 33));
    }
    const ended = new Promise((done) => (recorder.onstop = done));
    recorder.stop();
    await ended;
    const bytes = new Uint8Array(await new Blob(pieces).arrayBuffer());
    return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  }, isSeeThrough);
  return Buffer.from(base64, 'base64');
}

test('film of a pattern without a set: its cue is marked where it is seen, times count from there and stay on the device', async ({
  page,
}) => {
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await page.goto('/film');
  await page.getByRole('button', { name: /Pattern$/ }).click();
  await page.getByRole('option', { name: 'Star from the T', exact: true }).click();
  const film = { name: 'shown.webm', mimeType: 'video/webm', buffer: await shortFilm(page) };
  await page.getByRole('link', { name: 'Film of this pattern' }).click();
  await expect(page.getByText('must have agreed to be filmed')).toBeVisible();
  await expectSound(page);
  await chooseFilm(page, film);
  await expect(page.getByText(/^Mark the cue \(Q\) of a rep/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Arrived/ })).toBeDisabled();

  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('q');
  await expect(page.getByRole('status').filter({ hasText: '±' })).toBeVisible();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('a');
  const arrived = page.getByRole('button', { name: /^Arrived A \+0\.\d{3}/ });
  await expect(arrived).toBeVisible();
  await expect(page.getByText('1 of 6 targets marked.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Positions' })).toContainText('Load');
  await expectSound(page);
  const [vtt] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Marks as WebVTT' }).click(),
  ]);
  expect(readFileSync(await vtt.path(), 'utf8')).toMatch(/\nArrived \+0\.\d{3} s\n/);

  await page.goto('/film');
  await page.getByRole('link', { name: /^shown\.webm/ }).click();
  await expect(arrived).toBeVisible();
  expect(sent.filter((url) => url.startsWith('http'))).toEqual([]);

  // What one can see through opens, and cannot be decoded: that is said, not left grey.
  const seeThrough = await shortFilm(page, true);
  await page.getByRole('button', { name: 'Another film' }).click();
  await chooseFilm(page, { ...film, name: 'see-through.webm', buffer: seeThrough });
  await expect(page.getByText('Frames of this film cannot be shown')).toBeVisible();
});
