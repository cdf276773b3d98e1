import { heading, HOME } from '@orthokin/core/floor';
import { rungOf, targetOf } from '@orthokin/core/pattern';
import { positionAt } from '@orthokin/core/simulation';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import { useEffect, useRef, type ReactElement } from 'react';
import { AthleteFeet, athleteTransform, FloorPlan } from '../../parts/plan/FloorPlan.js';
import { currentCue } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import type { SetClock } from '../../drill/set-clock.js';
import { say } from '../../words/floor.js';

const AT_HOME = { at: HOME, headingDeg: 0 };
/** Beyond this distance from home the athlete faces the direction of travel. */
const TURN_M = 0.15;

/** The floor during a set: the called target lit, the simulated athlete moving in time. */
export function LiveFloor({
  run,
  clock,
  lit,
  playing,
}: {
  run: Run;
  clock: SetClock;
  /** Letter of the called target. */
  lit: string | null;
  playing: readonly TimedEvent[] | null;
}): ReactElement {
  const feet = useRef<SVGGElement>(null);
  const { plan } = run;
  const cue = currentCue(run);
  const going = cue?.switchTo?.target ?? cue?.target ?? run.open.called;
  const target = going ? targetOf(plan.pattern, going)?.at : undefined;
  useEffect(() => {
    if (!playing || !target) return;
    let frame = requestAnimationFrame(function move(pageMs) {
      const at = positionAt(playing, target, plan.simulated.travel, clock.at(pageMs));
      const out = Math.hypot(at.x, at.y) > TURN_M;
      const athlete = { at, headingDeg: out ? heading(HOME, target) : 0 };
      feet.current?.setAttribute('transform', athleteTransform(athlete));
      frame = requestAnimationFrame(move);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, target, plan, clock]);
  // Nobody measures where a real athlete is between two events.
  const isAtHome = playing !== null || !eventOf(run.open.events, 'firstMove');
  return (
    <FloorPlan
      pattern={plan.pattern}
      inPlay={rungOf(plan.pattern, plan.rung)?.targets}
      litTarget={lit ?? undefined}
      label={lit !== null ? say('floorLitCalled', { lit }) : say('floorHomeBaseTargets')}
    >
      {isAtHome && <AthleteFeet athlete={AT_HOME} ref={feet} />}
    </FloorPlan>
  );
}
