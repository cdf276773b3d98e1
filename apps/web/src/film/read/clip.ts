import {
  BufferTarget,
  CanvasSource,
  Output,
  Quality,
  WebMOutputFormat,
  type VideoSample,
} from 'mediabunny';

/** A stretch of the ribbon burnt in, as shares of the clip's time. */
export interface ClipBand {
  readonly from: number;
  readonly to: number;
  readonly fill: string;
  readonly name: string;
}

/** A rep to be taken along as a film of its own. */
export interface ClipOrder {
  /** Frames, the last included, and when each is to be shown, s from the first. */
  readonly from: number;
  readonly to: number;
  readonly showS: readonly number[];
  /** What is written over each frame. */
  readonly words: readonly string[];
  readonly bands: readonly ClipBand[];
  readonly title: string;
}

const WIDEST_PX = 960;
const FOOT_PX = 76;
const [BAND_TOP, BAND_PX] = [34, 26];
/** A clip is shown on any background: it has no dark side. */
const [PAPER, INK] = ['white', 'black'];
const TELL_EVERY = 20;

/** Even sides: encoders take no others. */
const even = (px: number): number => 2 * Math.round(px / 2);

function drawFoot(
  context: OffscreenCanvasRenderingContext2D,
  { bands, title }: ClipOrder,
  top: number,
  width: number,
  share: number,
): void {
  context.fillStyle = PAPER;
  context.fillRect(0, top, width, FOOT_PX);
  context.font = '600 16px sans-serif';
  context.fillStyle = INK;
  context.fillText(title, 12, top + 22);
  for (const { from, to, fill, name } of bands) {
    const [x, right] = [from * width, to * width];
    context.fillStyle = fill;
    context.fillRect(x, top + BAND_TOP, right - x, BAND_PX);
    context.fillStyle = PAPER;
    // The name alone must tell it too: colours look alike to some.
    if (context.measureText(name).width < right - x - 8)
      context.fillText(name, x + 4, top + BAND_TOP + 19);
  }
  context.fillStyle = INK;
  context.fillRect(share * width - 1.5, top + BAND_TOP - 6, 3, BAND_PX + 12);
}

/** Encodes a rep with its ribbon, its clock and its title burnt in; without sound. */
export async function clipOf(
  samples: AsyncIterable<VideoSample>,
  picture: { readonly width: number; readonly height: number },
  order: ClipOrder,
  onShare: (share: number) => void,
): Promise<Blob> {
  const { showS, words } = order;
  const scale = Math.min(1, WIDEST_PX / picture.width);
  const [width, height] = [even(scale * picture.width), even(scale * picture.height)];
  const canvas = new OffscreenCanvas(width, height + FOOT_PX);
  const context = canvas.getContext('2d');
  if (!context) throw new Error(order.title);
  const target = new BufferTarget();
  const output = new Output({ format: new WebMOutputFormat(), target });
  const encoded = new CanvasSource(canvas, { codec: 'vp8', quality: new Quality('high') });
  output.addVideoTrack(encoded);
  await output.start();
  const endS = showS.at(-1) ?? 0;
  let place = 0;
  for await (const sample of samples) {
    const atS = showS[place];
    if (atS === undefined) {
      sample.close();
      break;
    }
    sample.draw(context, 0, 0, width, height);
    sample.close();
    context.font = '700 20px monospace';
    const text = words[place] ?? '';
    context.fillStyle = PAPER;
    context.fillRect(10, 10, context.measureText(text).width + 20, 32);
    context.fillStyle = INK;
    context.fillText(text, 20, 33);
    drawFoot(context, order, height, width, endS > 0 ? atS / endS : 0);
    const nextS = showS[place + 1] ?? atS + (atS - (showS[place - 1] ?? 0));
    await encoded.add(atS, Math.max(0.001, nextS - atS));
    if (place % TELL_EVERY === 0) onShare(place / showS.length);
    place++;
  }
  await output.finalize();
  return new Blob([target.buffer ?? new ArrayBuffer(0)], { type: 'video/webm' });
}
