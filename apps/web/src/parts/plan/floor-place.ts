import type { Point } from '@orthokin/core/floor';
import { arrowWay } from '../arrow-way.js';

/** A place of the page on the floor that `surface` draws: metres, y forward. */
export function floorPoint(
  surface: SVGGraphicsElement,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
): Point {
  const matrix = surface.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix);
  return { x, y: -y };
}

const NUDGE_M = 0.05;
const FINE_NUDGE_M = 0.01;

/** Where an arrow key moves a thing to: 5 cm, 1 cm with Shift; `null` for any other key. */
export function nudged(at: Point, key: string, fine: boolean): Point | null {
  const way = arrowWay(key);
  if (!way) return null;
  const by = fine ? FINE_NUDGE_M : NUDGE_M;
  const round = (metres: number) => Math.round(metres * 1000) / 1000;
  return { x: round(at.x + way.x * by), y: round(at.y - way.y * by) };
}
