import { expect, type Page } from '@playwright/test';
import { chooseFilm } from './support/film.js';
import { numberedFilms, numbersShown, type NumberedFilm } from './support/numbered-film.js';
import { test } from './support/served.js';

const WEBM = { container: 'webm', codec: 'vp8', turned: 0, late: 0, frames: 90 } as const;
const MP4 = { ...WEBM, container: 'mp4', codec: 'vp9' } as const;
const FILMS: readonly NumberedFilm[] = [
  { ...WEBM, framesPerS: 30 },
  { ...MP4, framesPerS: 60, turned: 90 },
  { ...MP4, framesPerS: 120, turned: 270 },
  { ...WEBM, framesPerS: 240, late: 0.7 },
];
/** Through the film, back and on again: single steps, and jumps from window to window. */
const WAY: readonly (readonly [key: string, presses: number])[] = [
  ['ArrowRight', 16],
  ['Shift+ArrowRight', 6],
  ['ArrowLeft', 8],
  ['Shift+ArrowLeft', 6],
  ['ArrowRight', 4],
];
/** Where that ends. */
const LAST = 16 + 60 - 8 - 60 + 4;

async function step(page: Page, key: string, turned: NumberedFilm['turned']): Promise<number> {
  const before = (await numbersShown(page, turned)).said;
  await page.keyboard.press(key);
  await page.waitForFunction(
    (was) =>
      document.querySelector<HTMLCanvasElement>('canvas[data-frame]')?.dataset['frame'] !== was,
    String(before),
    { polling: 'raf' },
  );
  // A worker draws: on a busy machine its picture is on the page some redraws after it said so. A wrong one stays wrong.
  await expect
    .poll(
      async () => {
        const { carried, said } = await numbersShown(page, turned);
        return carried - said;
      },
      { message: `${key} from frame ${before}` },
    )
    .toBe(0);
  const { said } = await numbersShown(page, turned);
  return said;
}

test('each step shows the frame it says: 30 to 240 a second, unevenly, turned, in WebM and MP4 @thorough', async ({
  page,
  browser,
}) => {
  await page.goto('/film');
  await page.getByRole('link', { name: 'Film of this pattern' }).click();
  await expect(page.getByRole('button', { name: 'Choose a film' })).toBeVisible();
  const made = await numberedFilms(browser, page.url(), FILMS);
  for (const [i, film] of FILMS.entries()) {
    if (i > 0) await page.getByRole('button', { name: 'Another film' }).click();
    const [name, mimeType] = [`numbered-${i}.${film.container}`, `video/${film.container}`];
    await chooseFilm(page, { name, mimeType, buffer: made[i] ?? Buffer.of() });
    await expect(page.locator('canvas[data-frame="0"]')).toBeVisible();
    await expect(page.getByText('Keeping the film on this device')).toBeHidden();
    let shown = 0;
    for (const [key, presses] of WAY)
      for (let n = 0; n < presses; n++) shown = await step(page, key, film.turned);
    expect(shown).toBe(LAST);
  }
});
