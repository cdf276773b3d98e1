import {
  BufferTarget,
  CanvasSource,
  Output,
  Quality,
  WebMOutputFormat,
  type VideoSample,
} from 'mediabunny';
import { paintStrokes, type Stroke } from '../draw/paint-strokes.js';
import { FramePainter } from './painter.js';

/** A segment of the ribbon, as shares of its length. */
export interface ClipBand {
  readonly from: number;
  readonly to: number;
  readonly fill: string;
  readonly name: string;
}

/** A frame of a clip. */
export interface ClipFrame {
  /** When it is shown, s from the first frame. */
  readonly showS: number;
  /** Position of the ribbon's hand, as a share of its length. */
  readonly share: number;
  /** The clock, and below it the last marked event. */
  readonly words: readonly string[];
  readonly strokes: readonly Stroke[];
}

/** A rep to export as a film. */
export interface ClipOrder {
  /** The clip's first frame in the film. */
  readonly from: number;
  readonly frames: readonly ClipFrame[];
  readonly endS: number;
  readonly bands: readonly ClipBand[];
  readonly title: string;
}

const WIDEST_PX = 960;
const FOOT_PX = 76;
const [BAND_TOP, BAND_PX] = [34, 26];
/** A clip is shown on any background, so it is always light. */
const [PAPER, INK] = ['white', 'black'];
const TELL_EVERY = 20;
/** Relative to a printed page. */
const STROKES_SIZE = 0.8;

/** Encoders need even side lengths. */
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
    // The name must tell the phase as well: some people cannot tell the colours apart.
    if (context.measureText(name).width < right - x - 8)
      context.fillText(name, x + 4, top + BAND_TOP + 19);
  }
  context.fillStyle = INK;
  context.fillRect(share * width - 1.5, top + BAND_TOP - 6, 3, BAND_PX + 12);
}

function drawWords(context: OffscreenCanvasRenderingContext2D, words: readonly string[]): void {
  context.font = '700 20px monospace';
  words.forEach((text, line) => {
    const top = 10 + line * 36;
    context.fillStyle = PAPER;
    context.fillRect(10, top, context.measureText(text).width + 20, 32);
    context.fillStyle = INK;
    context.fillText(text, 20, top + 23);
  });
}

/** Encodes a rep without sound, with its ribbon, clock, marks and drawings. */
export async function clipOf(
  samples: AsyncIterable<VideoSample>,
  picture: { readonly width: number; readonly height: number },
  order: ClipOrder,
  onShare: (share: number) => void,
): Promise<Blob> {
  const { frames, endS } = order;
  const scale = Math.min(1, WIDEST_PX / picture.width);
  const [width, height] = [even(scale * picture.width), even(scale * picture.height)];
  const painter = new FramePainter();
  const painted = new OffscreenCanvas(width, height);
  const canvas = new OffscreenCanvas(width, height + FOOT_PX);
  const context = canvas.getContext('2d');
  if (!context) throw new Error(order.title);
  const target = new BufferTarget();
  const output = new Output({ format: new WebMOutputFormat(), target });
  const encoded = new CanvasSource(canvas, { codec: 'vp8', quality: new Quality('high') });
  output.addVideoTrack(encoded);
  await output.start();
  let place = 0;
  for await (const sample of samples) {
    const frame = frames[place];
    if (!frame) {
      sample.close();
      break;
    }
    await painter.paint(sample, painted);
    sample.close();
    context.drawImage(painted, 0, 0);
    paintStrokes(context, frame.strokes, { left: 0, top: 0, scale }, STROKES_SIZE);
    drawWords(context, frame.words);
    drawFoot(context, order, height, width, frame.share);
    const nextS = frames[place + 1]?.showS ?? endS;
    await encoded.add(frame.showS, Math.max(0.001, nextS - frame.showS));
    if (place % TELL_EVERY === 0) onShare(place / frames.length);
    place++;
  }
  await output.finalize();
  return new Blob([target.buffer ?? new ArrayBuffer(0)], { type: 'video/webm' });
}
