import type { Point } from '@orthokin/core/floor';

const WAYS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** Where an arrow key moves something on the screen, x to the right and y down; `null` for any other key. */
export const arrowWay = (key: string): Point | null => WAYS[key] ?? null;
