import type { Point } from '@orthokin/core/floor';
import { useRef, type PointerEvent, type RefObject } from 'react';

interface Drag {
  readonly pointerId: number;
  /** From the pointer to the thing's own middle, so that it does not jump when taken. */
  readonly grip: Point;
  readonly gesture: string;
  readonly startX: number;
  readonly startY: number;
  moved: boolean;
}

/** A press that moves less than this many pixels is a click, not a drag. */
const SLACK_PX = 3;

/** A place of the page on the floor that `surface` draws: metres, y forward. */
export function floorPoint(surface: SVGGElement, clientX: number, clientY: number): Point {
  const matrix = surface.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix);
  return { x, y: -y };
}

/**
 * Lets a thing on the floor be dragged. `onMove` gets the place for its middle, the name of the
 * gesture, and whether Alt asks not to snap.
 */
export function useFloorDrag(
  surface: RefObject<SVGGElement | null>,
  at: Point,
  onMove: (to: Point, gesture: string, free: boolean) => void,
  onTake: () => void,
) {
  const drag = useRef<Drag | null>(null);
  return {
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      if (!surface.current || event.button !== 0) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      const pointer = floorPoint(surface.current, event.clientX, event.clientY);
      drag.current = {
        pointerId: event.pointerId,
        grip: { x: at.x - pointer.x, y: at.y - pointer.y },
        gesture: `drag ${event.timeStamp}`,
        startX: event.clientX,
        startY: event.clientY,
        moved: false,
      };
      onTake();
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      const now = drag.current;
      if (now?.pointerId !== event.pointerId || !surface.current) return;
      now.moved ||= Math.hypot(event.clientX - now.startX, event.clientY - now.startY) > SLACK_PX;
      if (!now.moved) return;
      const pointer = floorPoint(surface.current, event.clientX, event.clientY);
      onMove({ x: pointer.x + now.grip.x, y: pointer.y + now.grip.y }, now.gesture, event.altKey);
    },
    onPointerUp: () => {
      drag.current = null;
    },
    onPointerCancel: () => {
      drag.current = null;
    },
  };
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
