import { feetAt, type RehearsalCall } from '@orthokin/core/footwork';
import { HOME } from '@orthokin/core/floor';
import { legOf, targetOf, type Pattern } from '@orthokin/core/pattern';
import { useEffect, useRef, type ReactElement } from 'react';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { Sole } from '../../parts/plan/Sole.js';
import { viewOfLeg } from '../../parts/plan/view.js';
import type { Walk } from './useWalk.js';
import { say } from '../../words/floor.js';

const SOLE_M = 0.4;
const SWING_GROWS = 0.22;
const SIDES = ['left', 'right'] as const;

/** The rehearsed leg, with feet walking it at the rehearsal's pace. */
export function WalkedFloor({
  pattern,
  call,
  walk,
}: {
  pattern: Pattern;
  call: RehearsalCall;
  walk: Walk;
}): ReactElement {
  const feet = useRef<Record<(typeof SIDES)[number], SVGGElement | null>>({
    left: null,
    right: null,
  });
  const leg = legOf(pattern, call.target);
  const target = targetOf(pattern, call.target);
  useEffect(() => {
    if (!leg) return;
    const draw = (pageMs: number) => {
      const share = call.walkMs === 0 ? 1 : Math.min(1, (pageMs - walk.beganAt) / call.walkMs);
      const legMs = call.leg.fromMs + Math.max(0, share) * (call.leg.toMs - call.leg.fromMs);
      const places = feetAt(pattern, leg, legMs);
      for (const side of SIDES) {
        const { at, headingDeg, lift } = places[side];
        feet.current[side]?.setAttribute(
          'transform',
          `translate(${at.x} ${-at.y}) rotate(${headingDeg}) scale(${1 + SWING_GROWS * lift})`,
        );
      }
    };
    if (walk.pausedAt !== null) {
      draw(walk.pausedAt);
      return;
    }
    let frame = requestAnimationFrame(function step() {
      draw(performance.now());
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [pattern, leg, call, walk]);
  return (
    <FloorPlan
      pattern={{ ...pattern, targets: target ? [target] : [] }}
      view={viewOfLeg(target?.at ?? HOME)}
      litTarget={call.target}
      label={say('wayTargetWalkedSlowly', { target: call.target })}
    >
      {SIDES.map((side) => (
        <g
          key={side}
          ref={(group) => {
            feet.current[side] = group;
          }}
        >
          <Sole foot={side} x={0} y={0} headingDeg={0} length={SOLE_M} />
        </g>
      ))}
    </FloorPlan>
  );
}
