import type { Point } from '@orthokin/core/floor';
import { useCallback, useLayoutEffect, useRef, type RefObject } from 'react';
import { floorPoint } from '../../parts/plan/floor-place.js';
import { useDrag } from '../../parts/useDrag.js';
import { usePaced } from './usePaced.js';

/** The SVG element whose coordinates are used. */
export type Surface = RefObject<SVGGElement | null>;

/** Attribute of things that are dragged themselves, so that the floor does not pan. */
export const TAKES_THE_PRESS = 'data-takes-press';

/** How something is dragged. */
export interface Draggable {
  /** Its centre in the pattern. */
  readonly at: Point;
  /** Where it goes for a pointer; `free` (Alt) turns snapping off. */
  readonly fall: (pointer: Point, free: boolean) => Point;
  /** Moves it; all calls of one gesture are one change. */
  readonly put: (to: Point, gesture: string) => void;
  readonly onTake?: () => void;
  readonly onDrop?: () => void;
}

/**
 * Makes something on the floor draggable. It follows the pointer at once; the pattern, and everything calculated from
 * it, follows as fast as it can be rendered, and exactly on release.
 */
export function useFloorDrag(surface: Surface, { at, fall, put, onTake, onDrop }: Draggable) {
  const held = useRef<Point | null>(null);
  const element = useRef<SVGGElement>(null);
  const paced = usePaced(({ to, gesture }: { to: Point; gesture: string }) => put(to, gesture));

  /** Draws it at the pointer, however far the pattern lags behind. */
  const follow = useCallback(() => {
    const to = held.current;
    if (to) element.current?.setAttribute('transform', `translate(${to.x - at.x} ${at.y - to.y})`);
    else element.current?.removeAttribute('transform');
  }, [at]);
  useLayoutEffect(follow);

  const drag = useDrag({
    // The offset from the pointer to its centre, so that it does not jump.
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
