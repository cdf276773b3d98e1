import type { Point } from '@orthokin/core/floor';

/** A drawing as a canvas paints it, in film pixels. Painted in a worker, which must not load the words. */
export interface Stroke {
  readonly places: readonly Point[];
  readonly words: { readonly at: Point; readonly text: string } | null;
}

/** Where a frame lies on a canvas. */
export interface LaidOut {
  readonly left: number;
  readonly top: number;
  /** Canvas pixels per film pixel. */
  readonly scale: number;
}

const LINE_PX = 4;
const FONT_PX = 26;
/** Distance of a label from what it is about. */
const BESIDE_PX = 12;
/** An outline round every drawing, so that it shows on dark floors too. */
const EDGE_PX = 3;
const [PAPER, INK] = ['white', 'black'];

/** Paints a frame's drawings. `size` scales lines and words; 1 for a printed page. */
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
