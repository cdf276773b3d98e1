import type { Point } from '@orthokin/core/floor';

/** A place of the page in a picture of so many pixels across, however it is zoomed; pixels of the film. */
export function placeInPicture(
  picture: Element | null,
  widthPx: number,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
): Point {
  const { left, top, width } = picture?.getBoundingClientRect() ?? new DOMRect();
  const px = widthPx / Math.max(1, width);
  return { x: (clientX - left) * px, y: (clientY - top) * px };
}
