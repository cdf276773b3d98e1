import type { Point } from '@orthokin/core/floor';

const WAYS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The direction of an arrow key, x right and y down; `null` for other keys. */
export const arrowWay = (key: string): Point | null => WAYS[key] ?? null;
