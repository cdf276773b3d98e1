import { createRequire } from 'node:module';
import type { Browser, Page } from '@playwright/test';
import type * as mediabunny from 'mediabunny';

/** A film whose every frame carries its number as bars, dark or light. */
export interface NumberedFilm {
  readonly container: 'webm' | 'mp4';
  readonly codec: 'vp8' | 'vp9';
  readonly framesPerS: number;
  readonly frames: number;
  /** How far a player turns it, degrees clockwise. */
  readonly turned: 0 | 90 | 180 | 270;
  /** Frames come up to so much of a gap late. */
  readonly late: number;
}

const SIZE = { width: 320, height: 180 };
const BITS = 8;
const MEDIABUNNY = createRequire(import.meta.url).resolve('mediabunny');

/** Makes films in a page of their own: the app's own pages run no script but the app's. */
export async function numberedFilms(
  browser: Browser,
  address: string,
  films: readonly NumberedFilm[],
): Promise<Buffer[]> {
  const context = await browser.newContext({ bypassCSP: true });
  const page = await context.newPage();
  await page.goto(address);
  await page.addScriptTag({
    path: MEDIABUNNY.replace(/dist\/.*/, 'dist/bundles/mediabunny.min.cjs'),
  });
  const made: Buffer[] = [];
  for (const film of films)
    made.push(
      Buffer.from(await page.evaluate(makeInPage, { ...film, ...SIZE, bits: BITS }), 'base64'),
    );
  await context.close();
  return made;
}

/** Runs in the page; answers a film's bytes as base64. */
async function makeInPage(
  film: NumberedFilm & { readonly width: number; readonly height: number; readonly bits: number },
): Promise<string> {
  const { width, height, bits, framesPerS, frames, turned, late, codec, container } = film;
  const { Mediabunny: maker } = globalThis as unknown as { Mediabunny: typeof mediabunny };
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d');
  const target = new maker.BufferTarget();
  const format = container === 'webm' ? new maker.WebMOutputFormat() : new maker.Mp4OutputFormat();
  const output = new maker.Output({ format, target });
  const picture = new maker.CanvasSource(canvas, { codec, quality: new maker.Quality('high') });
  output.addVideoTrack(picture, { rotation: turned });
  await output.start();
  for (let frame = 0; frame < frames; frame++) {
    for (let bit = 0; bit < bits; bit++) {
      if (pen) pen.fillStyle = (frame >> bit) & 1 ? 'white' : 'black';
      pen?.fillRect((bit * width) / bits, 0, width / bits, height);
    }
    // Late by the same share each time the film is made.
    const behind = late * ((frame * 0.618) % 1);
    await picture.add((frame + behind) / framesPerS, 1 / framesPerS);
  }
  await output.finalize();
  const bytes = new Uint8Array(target.buffer ?? new ArrayBuffer(0));
  return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
}

/** The number that the picture on the screen carries, and the frame that the app says it is. */
export const numbersShown = (
  page: Page,
  turned: NumberedFilm['turned'],
): Promise<{ readonly carried: number; readonly said: number }> =>
  page.evaluate(
    ({ bits, width, height, degrees }) => {
      const screen = document.querySelector<HTMLCanvasElement>('canvas[data-frame]');
      const canvas = new OffscreenCanvas(width, height);
      const pen = canvas.getContext('2d');
      if (!screen || !pen) return { carried: NaN, said: NaN };
      const isAcross = degrees % 180 === 0;
      const [across, down] = isAcross ? [width, height] : [height, width];
      pen.translate(width / 2, height / 2);
      pen.rotate((-degrees * Math.PI) / 180);
      pen.drawImage(screen, -across / 2, -down / 2, across, down);
      const isLight = (bit: number): number =>
        (pen.getImageData(((bit + 0.5) * width) / bits, height / 2, 1, 1).data[0] ?? 0) > 127
          ? 1
          : 0;
      const carried = Array.from({ length: bits }, (_, bit) => isLight(bit) << bit);
      return { carried: carried.reduce((a, b) => a + b, 0), said: Number(screen.dataset['frame']) };
    },
    { bits: BITS, ...SIZE, degrees: turned },
  );
