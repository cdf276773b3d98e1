import type { Presentation } from '@orthokin/contract/live-messages';
import type { Cue, FreezeAt } from '@orthokin/core/cue';
import { eventOf, type EventName, type TimedEvent } from '@orthokin/core/timing';
import { flushSync } from 'react-dom';
import { v7 } from 'uuid';
import { CATCH_HOLD_MS, homeForSureMs, positionMs } from '@orthokin/core/run';
import { cueDueMs, currentCue, everyMsNow } from '@orthokin/core/run';
import { Cancels } from '../../screens/cancels.js';
import { NOTHING_SHOWN, onClock, present, type Show, type Shown } from '../../screens/present.js';
import { cueSdMs } from '../../screens/sounds.js';
import type { Attempt } from './attempt.js';
import { playSimulated } from './simulated.js';

/** What the drill's screen draws. */
export interface Drawn extends Shown {
  /** The whole rep of the simulated athlete, which is known in advance; `null` otherwise. */
  readonly playing: readonly TimedEvent[] | null;
}

export const NOTHING_DRAWN: Drawn = { ...NOTHING_SHOWN, playing: null };

/** The shortest time to a cue: screen and sound must be ready. */
const SOONEST_MS = 250;
/** At a fixed pace a rep is closed this long before the next cue. */
const CLOSE_BEFORE_MS = 80;
/** A rep is closed after this if nobody reports the athlete home. */
const LONGEST_REP_MS = 12_000;
const LATE_SHOWN_MS = 1500;
const RESPONSES: readonly EventName[] = ['firstMove', 'arrival', 'action'];

/** The time of a position in this rep, on the set's clock: as simulated, or else as expected. */
function momentOf(
  { run }: Attempt,
  cue: Cue,
  dueMs: number,
  at: FreezeAt,
  playing: readonly TimedEvent[] | null,
): number {
  const names = { split: 'splitLanding', load: 'arrival', recovery: 'home' } as const;
  const played = playing && eventOf(playing, names[at]);
  return played?.atMs ?? dueMs + positionMs(run.plan, cue.target, at);
}

/** A cue and everything shown and sounded with it, on the set's clock. */
function presentationOf(
  attempt: Attempt,
  cue: Cue,
  dueMs: number,
  playing: readonly TimedEvent[] | null,
): Presentation {
  const { target, switchTo, freezeAt, late } = cue;
  const arrivalMs = momentOf(attempt, cue, dueMs, 'load', playing);
  return {
    letter: target,
    dueMs,
    switchTo: switchTo ? { letter: switchTo.target, atMs: dueMs + switchTo.afterMs } : null,
    freezeMs: freezeAt ? momentOf(attempt, cue, dueMs, freezeAt, playing) : null,
    late: late ? { late, fromMs: arrivalMs, untilMs: arrivalMs + LATE_SHOWN_MS } : null,
  };
}

/** Closes the rep if nobody responds or comes home in time, or when the next cue is due. */
function closeInTime(
  { session, run, clock, others }: Attempt,
  { target }: Cue,
  cueMs: number,
  cancels: Cancels,
): void {
  const { responseLimitMs, source } = run.plan;
  const close = () => void session.commit({ type: 'ran out', atMs: clock.now() });
  const everyMs = everyMsNow(run);
  const isUnseen = source === 'none' || (source === 'sensor' && !others.seeHome());
  if (isUnseen && everyMs === null) {
    cancels.after(cueMs + homeForSureMs(run.plan, target) - clock.now(), close);
    return;
  }
  // Decided within the commit: a response may still be waiting to be written.
  cancels.after(
    responseLimitMs,
    () =>
      void session.commit(({ open }) =>
        RESPONSES.some((name) => eventOf(open.events, name))
          ? null
          : { type: 'ran out', atMs: clock.now() },
      ),
  );
  cancels.after(
    everyMs === null ? LONGEST_REP_MS : cueMs + everyMs - CLOSE_BEFORE_MS - clock.now(),
    close,
  );
}

/** Presents a cue when it is due, on all screens, and enforces its time limits. */
function presentCue(
  attempt: Attempt,
  cue: Cue,
  dueMs: number,
  playing: readonly TimedEvent[] | null,
  show: Show,
  cancels: Cancels,
): void {
  const { session, run, clock, others } = attempt;
  const { plan } = run;
  const presentation = presentationOf(attempt, cue, dueMs, playing);
  others.coming(presentation);
  cancels.add(others.clear);
  const onPage = onClock(presentation, (ms) => clock.toPage(ms));
  present(plan, onPage, show, cancels, (pageMs) => {
    const seen: TimedEvent = playing
      ? { name: 'cue', atMs: dueMs, sdMs: 0, source: 'simulated' }
      : { name: 'cue', atMs: clock.at(pageMs), sdMs: cueSdMs(plan), source: 'sensor' };
    void session.commit({
      type: 'cued',
      repId: v7(),
      cue: seen,
      ...(plan.conditions.order === 'called' && { target: cue.target }),
    });
    // A freeze has no time limit: its position is looked at for as long as it takes.
    if (!cue.freezeAt) closeInTime(attempt, cue, seen.atMs, cancels);
  });
}

/** What a caller can do: call the next cue at once. */
export interface Calling {
  /** Calls a target in a set that is called live; ignored while a rep is open. */
  readonly call: (letter: string) => void;
  readonly cancel: () => void;
}

/**
 * Runs an attempt from its wait on: cue, sound, limits, simulated athlete. `draw` applies a change at once.
 * @returns cancels everything, and takes calls if cues are called live
 */
export function beginAttempt(attempt: Attempt, draw: (change: Partial<Drawn>) => void): Calling {
  const { session, run, clock } = attempt;
  const { source, conditions } = run.plan;
  const cancels = new Cancels();
  const show: Show = (change) => flushSync(() => draw(change));
  const begin = (cue: Cue, dueMs: number) => {
    const playing = source === 'simulated' ? playSimulated(attempt, cue, dueMs, cancels) : null;
    draw({ ...NOTHING_DRAWN, playing });
    if (cue.catch)
      cancels.after(
        dueMs + CATCH_HOLD_MS - clock.now(),
        () => void session.commit({ type: 'held', repId: v7(), atMs: clock.now() }),
      );
    else presentCue(attempt, cue, dueMs, playing, show, cancels);
  };

  if (conditions.order === 'called') {
    let called = false;
    return {
      call: (letter) => {
        if (called) return;
        called = true;
        begin(
          { ordinal: run.ordinal, target: letter, foreperiodMs: 0 },
          clock.now() + CLOSE_BEFORE_MS,
        );
      },
      cancel: cancels.cancel,
    };
  }
  const soonest = everyMsNow(run) === null ? SOONEST_MS : CLOSE_BEFORE_MS / 2;
  const dueMs = Math.max(cueDueMs(run), clock.now() + soonest);
  const { workEndsMs } = run;
  const cue = currentCue(run);
  if (workEndsMs !== null && dueMs >= workEndsMs)
    cancels.after(workEndsMs - clock.now(), () => void session.commit({ type: 'time up' }));
  else if (cue) begin(cue, dueMs);
  return { call: () => undefined, cancel: cancels.cancel };
}
