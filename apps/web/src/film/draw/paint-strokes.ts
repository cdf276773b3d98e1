import type { Point } from '@orthokin/core/floor';

/** A thing drawn on a frame, as a canvas paints it; places in pixels of the film. A worker paints it, and has no words. */
export interface Stroke {
  readonly places: readonly Point[];
  readonly words: { readonly at: Point; readonly text: string } | null;
}

/** Where a frame lies on a canvas, and how large. */
export interface LaidOut {
  readonly left: number;
  readonly top: number;
  /** Pixels of the canvas to one of the film. */
  readonly scale: number;
}

const LINE_PX = 4;
const FONT_PX = 26;
/** What is written stands so far beside what it is about. */
const BESIDE_PX = 12;
/** Round all that is drawn, so that it is seen on dark floors too. */
const EDGE_PX = 3;
const [PAPER, INK] = ['white', 'black'];

/** Paints what was drawn over a frame; `size` of lines and words, 1 on a page for print. */
export function paintStrokes(
  context: OffscreenCanvasRenderingContext2D,
  strokes: readonly Stroke[],
  { left, top, scale }: LaidOut,
  size = 1,
): void {
  const at = ({ x, y }: Point): [number, number] => [left + x * scale, top + y * scale];
  context.save();
  context.lineJoin = 'round';
  context.lineCap = 'round';
  context.font = `700 ${FONT_PX * size}px sans-serif`;
  context.fillStyle = INK;
  for (const { places, words } of strokes) {
    context.beginPath();
    for (const place of places) context.lineTo(...at(place));
    for (const [style, width] of [
      [PAPER, LINE_PX + 2 * EDGE_PX],
      [INK, LINE_PX],
    ] as const) {
      context.strokeStyle = style;
      context.lineWidth = width * size;
      context.stroke();
    }
    if (!words) continue;
    const [x, y] = at(words.at);
    const beside = [x + BESIDE_PX * size, y - BESIDE_PX * size] as const;
    context.strokeStyle = PAPER;
    context.lineWidth = 2 * EDGE_PX * size;
    context.strokeText(words.text, ...beside);
    context.fillText(words.text, ...beside);
  }
  context.restore();
}
