import type { Point } from '@orthokin/core/floor';

/** Converts a place on the page to film pixels, however the picture is zoomed. */
export function placeInPicture(
  picture: Element | null,
  widthPx: number,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
): Point {
  const { left, top, width } = picture?.getBoundingClientRect() ?? new DOMRect();
  const px = widthPx / Math.max(1, width);
  return { x: (clientX - left) * px, y: (clientY - top) * px };
}
