import type { Point } from '@orthokin/core/floor';
import {
  useRef,
  type KeyboardEvent,
  type PointerEvent,
  type ReactElement,
  type ReactNode,
} from 'react';
import styled from 'styled-components';
import { colour } from '../tokens.js';
import { useDrag } from '../useDrag.js';
import { floorPoint, nudged } from './floor-place.js';

const Held = styled.g`
  cursor: grab;
  touch-action: none;
  outline: none;
  .focus {
    fill: transparent;
    stroke: none;
  }
  &:focus-visible .focus {
    stroke: ${colour('focus')};
    stroke-width: 0.08;
  }
`;

/** Step of moving things on a drawn floor, m. */
const STEP_M = 0.1;
const FARTHEST_M = 40;
const GRIP_M = 0.42;

const settled = ({ x, y }: Point): Point => {
  const within = (metres: number) =>
    Math.round(Math.min(FARTHEST_M, Math.max(-FARTHEST_M, metres)) / STEP_M) / (1 / STEP_M);
  return { x: within(x), y: within(y) };
};

/** Something on a drawn floor that can be dragged, or moved by the arrow keys. */
export function FloorHandle({
  at,
  label,
  onMove,
  children,
}: {
  at: Point;
  label: string;
  onMove: (to: Point) => void;
  /** Drawn round its place. */
  children: ReactNode;
}): ReactElement {
  const handle = useRef<SVGGElement>(null);
  const toFloor = (event: PointerEvent): Point | null => {
    const svg = handle.current?.ownerSVGElement;
    return svg ? floorPoint(svg, event) : null;
  };
  const drag = useDrag<Point>({
    take: (event) => {
      const pointer = toFloor(event);
      return pointer && { x: at.x - pointer.x, y: at.y - pointer.y };
    },
    move: (grip, event) => {
      const pointer = toFloor(event);
      if (pointer) onMove(settled({ x: pointer.x + grip.x, y: pointer.y + grip.y }));
    },
  });
  const key = (event: KeyboardEvent) => {
    const way = nudged({ x: 0, y: 0 }, event.key, false);
    if (!way) return;
    event.preventDefault();
    onMove(settled({ x: at.x + Math.sign(way.x) * STEP_M, y: at.y + Math.sign(way.y) * STEP_M }));
  };
  return (
    <Held
      ref={handle}
      role="button"
      tabIndex={0}
      aria-label={label}
      transform={`translate(${at.x} ${-at.y})`}
      onKeyDown={key}
      {...drag}
    >
      <circle className="focus" r={GRIP_M} />
      {children}
    </Held>
  );
}
