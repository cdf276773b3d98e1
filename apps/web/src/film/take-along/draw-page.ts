import type { Drawn } from '@orthokin/core/film';
import { strokesOf } from '../draw/drawn-words.js';
import { paintStrokes } from '../draw/paint-strokes.js';

/** A still on an athlete's page. */
export interface PageStill {
  readonly picture: ImageBitmap;
  readonly caption: string;
  readonly drawn: readonly Drawn[];
  /** Picture pixels per film pixel. */
  readonly scale: number;
}

/** A correction: the cue to think of, and the drill that mends the fault. */
export interface Correction {
  readonly say: string;
  readonly mend: string;
}

const WIDTH = 1240;
const [EDGE, GAP] = [60, 40];
const LINE = 40;
/** Paper is always light, whatever the theme. */
const [PAPER, INK] = ['white', 'black'];

/** Breaks a text into lines of a maximal width. */
export function linesOf(text: string, widest: number, measure: (text: string) => number): string[] {
  return text.split(/\s+/).reduce<string[]>((lines, word) => {
    const last = lines.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    return last !== undefined && measure(longer) <= widest
      ? [...lines.slice(0, -1), longer]
      : [...lines, word];
  }, []);
}

/** Paints the athlete's page: title, stills, and below them what to work on. */
export async function pageOf(
  title: string,
  stills: readonly PageStill[],
  corrections: readonly Correction[],
): Promise<Blob> {
  const each = (WIDTH - 2 * EDGE - GAP * (stills.length - 1)) / Math.max(1, stills.length);
  const high = Math.max(0, ...stills.map(({ picture }) => (each / picture.width) * picture.height));
  const height = EDGE + 60 + high + 60 + corrections.length * 5 * LINE + EDGE;
  const page = new OffscreenCanvas(WIDTH, Math.ceil(height));
  const context = page.getContext('2d');
  if (!context) throw new Error(title);
  context.fillStyle = PAPER;
  context.fillRect(0, 0, page.width, page.height);
  context.fillStyle = INK;
  context.font = '700 36px sans-serif';
  context.fillText(title, EDGE, EDGE + 20);
  const top = EDGE + 60;
  stills.forEach((still, i) => {
    const left = EDGE + i * (each + GAP);
    const stretch = each / still.picture.width;
    context.drawImage(still.picture, left, top, each, still.picture.height * stretch);
    const { drawn, scale } = still;
    paintStrokes(context, strokesOf(drawn), { left, top, scale: scale * stretch });
    context.font = '24px sans-serif';
    context.fillText(still.caption, left, top + high + 36);
  });
  let y = top + high + 100;
  const write = (text: string, font: string) => {
    context.font = font;
    const measure = (part: string) => context.measureText(part).width;
    for (const line of linesOf(text, WIDTH - 2 * EDGE, measure)) {
      context.fillText(line, EDGE, y);
      y += LINE;
    }
  };
  corrections.forEach(({ say, mend }, i) => {
    write(`${i + 1}. ${say}`, '700 32px sans-serif');
    write(mend, '26px sans-serif');
    y += LINE / 2;
  });
  return page.convertToBlob({ type: 'image/png' });
}
