import type { Point } from '@orthokin/core/floor';
import { useCallback, useLayoutEffect, useRef, type RefObject } from 'react';
import { floorPoint } from '../../parts/plan/floor-place.js';
import { useDrag } from '../../parts/useDrag.js';
import { usePaced } from './usePaced.js';

/** What the drawing's own coordinates are measured in. */
export type Surface = RefObject<SVGGElement | null>;

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
    take: (event): Point | null => {
      if (!surface.current) return null;
      const pointer = floorPoint(surface.current, event);
      onTake?.();
      return { x: at.x - pointer.x, y: at.y - pointer.y };
    },
    move: (grip, event, gesture) => {
      if (!surface.current) return;
      const pointer = floorPoint(surface.current, event);
      const to = fall({ x: pointer.x + grip.x, y: pointer.y + grip.y }, event.altKey);
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
