import type { Point } from '@orthokin/core/floor';
import { arrowWay } from '../arrow-way.js';

/** Converts a place on the page to floor coordinates: metres, y forward. */
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

/** A place moved by an arrow key: 5 cm, or 1 cm with Shift; `null` for other keys. */
export function nudged(at: Point, key: string, fine: boolean): Point | null {
  const way = arrowWay(key);
  if (!way) return null;
  const by = fine ? FINE_NUDGE_M : NUDGE_M;
  const round = (metres: number) => Math.round(metres * 1000) / 1000;
  return { x: round(at.x + way.x * by), y: round(at.y - way.y * by) };
}
