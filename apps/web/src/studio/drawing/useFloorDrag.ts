import type { Point } from '@orthokin/core/floor';
import { useCallback, useLayoutEffect, useRef, type RefObject } from 'react';
import { useDrag } from '../../parts/useDrag.js';
import { usePaced } from './usePaced.js';

/** What the drawing's own coordinates are measured in. */
export type Surface = RefObject<SVGGElement | null>;

/** A place of the page on the floor that `surface` draws: metres, y forward. */
export function floorPoint(surface: SVGGElement, clientX: number, clientY: number): Point {
  const matrix = surface.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix);
  return { x, y: -y };
}

/** Marks what is dragged itself: the floor under it keeps still. */
export const TAKES_THE_PRESS = 'data-takes-press';

/** What becomes of a thing that is dragged. */
export interface Draggable {
  /** Where its middle is in the pattern. */
  readonly at: Point;
  /** Where it falls for a pointer there; `free` when Alt asks not to snap. */
  readonly fall: (pointer: Point, free: boolean) => Point;
  /** Puts it there; all calls with one gesture are one change. */
  readonly put: (to: Point, gesture: string) => void;
  readonly onTake?: () => void;
  readonly onDrop?: () => void;
}

/**
 * Lets a thing on the floor be dragged. The thing itself follows the pointer at once; the pattern,
 * and all that is worked out from it, follows as fast as it can be drawn, and exactly on release.
 */
export function useFloorDrag(surface: Surface, { at, fall, put, onTake, onDrop }: Draggable) {
  const held = useRef<Point | null>(null);
  const element = useRef<SVGGElement>(null);
  const paced = usePaced(({ to, gesture }: { to: Point; gesture: string }) => put(to, gesture));

  /** Draws the thing where it is held, however far the pattern is behind. */
  const follow = useCallback(() => {
    const to = held.current;
    if (to) element.current?.setAttribute('transform', `translate(${to.x - at.x} ${at.y - to.y})`);
    else element.current?.removeAttribute('transform');
  }, [at]);
  useLayoutEffect(follow);

  const drag = useDrag({
    // From the pointer to the thing's own middle, so that it does not jump when taken.
    take: ({ clientX, clientY }): Point | null => {
      if (!surface.current) return null;
      const pointer = floorPoint(surface.current, clientX, clientY);
      onTake?.();
      return { x: at.x - pointer.x, y: at.y - pointer.y };
    },
    move: (grip, { clientX, clientY, altKey }, gesture) => {
      if (!surface.current) return;
      const pointer = floorPoint(surface.current, clientX, clientY);
      const to = fall({ x: pointer.x + grip.x, y: pointer.y + grip.y }, altKey);
      held.current = to;
      follow();
      paced.tell({ to, gesture });
    },
    drop: (gesture) => {
      const to = held.current;
      held.current = null;
      paced.hush();
      if (to) put(to, gesture);
      follow();
      onDrop?.();
    },
  });
  return { ref: element, [TAKES_THE_PRESS]: '', ...drag };
}

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
};
const NUDGE_M = 0.05;
const FINE_NUDGE_M = 0.01;

/** Where an arrow key moves a thing to: 5 cm, 1 cm with Shift; `null` for any other key. */
export function nudged(at: Point, key: string, fine: boolean): Point | null {
  const way = ARROWS[key];
  if (!way) return null;
  const by = fine ? FINE_NUDGE_M : NUDGE_M;
  const round = (metres: number) => Math.round(metres * 1000) / 1000;
  return { x: round(at.x + way.x * by), y: round(at.y + way.y * by) };
}
