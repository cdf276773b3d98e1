import { useRef, type PointerEvent } from 'react';

/** A press that moves less than this many pixels is a click, not a drag. */
const SLACK_PX = 3;

interface Held<Grip> {
  readonly pointerId: number;
  readonly grip: Grip;
  readonly gesture: string;
  readonly x: number;
  readonly y: number;
  isMoved: boolean;
}

/** Handlers of a drag; all calls of one gesture are one change. */
export interface Dragged<Grip> {
  /** The state at the start, for computing movements; `null` to refuse. */
  readonly take: (event: PointerEvent) => Grip | null;
  readonly move: (grip: Grip, event: PointerEvent, gesture: string) => void;
  readonly drop?: (gesture: string) => void;
}

/** Makes something draggable by mouse, pen or finger, also beyond its bounds. */
export function useDrag<Grip>({ take, move, drop }: Dragged<Grip>) {
  const held = useRef<Held<Grip> | null>(null);
  const release = () => {
    const { gesture = '' } = held.current ?? {};
    held.current = null;
    drop?.(gesture);
  };
  return {
    onPointerDown: (event: PointerEvent) => {
      const grip = event.button === 0 ? take(event) : null;
      if (grip === null) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      held.current = {
        ...{ pointerId: event.pointerId, grip, gesture: `drag ${event.timeStamp}` },
        ...{ x: event.clientX, y: event.clientY, isMoved: false },
      };
    },
    onPointerMove: (event: PointerEvent) => {
      const now = held.current;
      if (now?.pointerId !== event.pointerId) return;
      now.isMoved ||= Math.hypot(event.clientX - now.x, event.clientY - now.y) > SLACK_PX;
      if (now.isMoved) move(now.grip, event, now.gesture);
    },
    onPointerUp: release,
    onPointerCancel: release,
  };
}
