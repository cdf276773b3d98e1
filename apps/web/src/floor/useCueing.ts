import { seededRandom } from '@orthokin/core/cue';
import { HOME } from '@orthokin/core/floor';
import { targetOf } from '@orthokin/core/pattern';
import { simulateRep } from '@orthokin/core/simulation';
import { eventOf, type EventName, type TimedEvent } from '@orthokin/core/timing';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { v7 } from 'uuid';
import { planTone } from './tone.js';
import { finishedReps, type Run } from '../drill/run.js';
import type { Session } from '../drill/session.js';
import type { SetClock } from '../drill/set-clock.js';

/** Never cue sooner than this: screen and sound must be ready. */
const SOONEST_MS = 250;
const FRAME_MS = 1000 / 60;
/** A cue painted on a screen is known to within one of its frames. */
const SCREEN_SD_MS = Math.round((FRAME_MS / Math.sqrt(12)) * 10) / 10;
/** A rep whose home is never seen is closed after this. */
const LONGEST_REP_MS = 12_000;
const RESPONSES: readonly EventName[] = ['firstMove', 'arrival', 'action'];

export interface Cueing {
  /** The cue is on the screen. */
  readonly shown: boolean;
  /** The whole rep the simulated athlete is playing, known in advance; `null` otherwise. */
  readonly playing: readonly TimedEvent[] | null;
}

interface Attempt {
  readonly session: Session;
  readonly run: Run;
  readonly clock: SetClock;
  /** When the cue is due, on the set's clock. */
  readonly dueMs: number;
}

/** Plays the simulated athlete's rep: every event at its time, through the same door as a press. */
function playSimulated({ session, run, clock, dueMs }: Attempt) {
  const { plan, ordinal, attempt } = run;
  const target = targetOf(plan.pattern, plan.cues[ordinal - 1]?.target ?? '');
  const { events, seenFaults } = simulateRep(
    plan.simulated,
    {
      atMs: dueMs,
      target: target?.at ?? HOME,
      repsBefore: finishedReps(run).length,
      sessionsBefore: plan.sessionsBefore,
    },
    seededRandom(plan.seed + attempt),
  );
  const timers = events
    .filter(({ name }) => name !== 'cue')
    .map((event) =>
      setTimeout(
        () =>
          void session.commit({
            type: 'event',
            event,
            ...(event.name === 'home' && { seenFaults }),
          }),
        event.atMs - clock.now(),
      ),
    );
  return { events, cancel: () => timers.forEach(clearTimeout) };
}

/** Waits for the frame that shows the cue on time; calls back with when it was on the screen. */
function onDueFrame(duePageMs: number, show: () => void, shown: (pageMs: number) => void) {
  let frame = requestAnimationFrame(function wait(frameMs) {
    // What is drawn in this frame is on the screen with the next one.
    if (frameMs < duePageMs - FRAME_MS) {
      frame = requestAnimationFrame(wait);
      return;
    }
    show();
    frame = requestAnimationFrame(shown);
  });
  return () => cancelAnimationFrame(frame);
}

/** Closes the rep when nobody responds, or nobody comes home. */
function closeInTime({ session, run, clock }: Attempt) {
  const close = () => void session.commit({ type: 'ran out', atMs: clock.now() });
  const missed = setTimeout(() => {
    const { open } = session.snapshot().run;
    if (!RESPONSES.some((name) => eventOf(open.events, name))) close();
  }, run.plan.responseLimitMs);
  const endless = setTimeout(close, LONGEST_REP_MS);
  return () => {
    clearTimeout(missed);
    clearTimeout(endless);
  };
}

function beginAttempt(attempt: Attempt, set: (cueing: Cueing) => void): () => void {
  const { session, run, clock, dueMs } = attempt;
  const { source, withTone } = run.plan;
  const simulation = source === 'simulated' ? playSimulated(attempt) : null;
  const playing = simulation?.events ?? null;
  set({ shown: false, playing });
  const duePageMs = clock.toPage(dueMs);
  const cancelTone = withTone ? planTone(duePageMs) : () => undefined;
  let cancelLimits = () => {};
  const cancelFrame = onDueFrame(
    duePageMs,
    () => flushSync(() => set({ shown: true, playing })),
    (pageMs) => {
      const cue: TimedEvent = simulation
        ? { name: 'cue', atMs: dueMs, sdMs: 0, source: 'simulated' }
        : { name: 'cue', atMs: clock.at(pageMs), sdMs: SCREEN_SD_MS, source: 'sensor' };
      void session.commit({ type: 'cued', repId: v7(), cue });
      cancelLimits = closeInTime(attempt);
    },
  );
  return () => {
    simulation?.cancel();
    cancelTone();
    cancelFrame();
    cancelLimits();
  };
}

/** Runs the cues of a session: waits the foreperiod, shows and sounds the cue, keeps the limits. */
export function useCueing(session: Session, run: Run, clock: SetClock): Cueing {
  const [cueing, setCueing] = useState<Cueing>({ shown: false, playing: null });
  const active = run.state === 'waiting' || run.state === 'cued';
  const { attempt } = run;
  useEffect(() => {
    if (!active) return;
    const now = session.snapshot().run;
    const foreperiodMs = now.plan.cues[now.ordinal - 1]?.foreperiodMs ?? 0;
    const dueMs = Math.max(now.readyMs + foreperiodMs, clock.now() + SOONEST_MS);
    const cancel = beginAttempt({ session, run: now, clock, dueMs }, setCueing);
    return () => {
      cancel();
      setCueing({ shown: false, playing: null });
    };
  }, [session, clock, attempt, active]);
  return cueing;
}
