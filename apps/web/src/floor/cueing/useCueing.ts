import { useEffect, useRef, useState } from 'react';
import type { Run } from '../../drill/plan.js';
import type { Session } from '../../drill/session.js';
import type { SetClock } from '../../drill/set-clock.js';
import { beginAttempt, NOTHING_DRAWN, type Calling, type Drawn } from './run-attempt.js';
import type { OtherScreens } from './attempt.js';

export interface Cueing {
  readonly shown: Drawn;
  /** Calls a target, if cues are called live. */
  readonly call: (letter: string) => void;
}

/** Runs a session's cues: waits, presents each, and enforces its limits. */
export function useCueing(
  session: Session,
  run: Run,
  clock: SetClock,
  others: OtherScreens,
): Cueing {
  const [drawn, setDrawn] = useState<{ of: number; drawn: Drawn }>({ of: 0, drawn: NOTHING_DRAWN });
  const calling = useRef<Calling | null>(null);
  const active = run.state === 'waiting' || run.state === 'cued';
  const { attempt } = run;
  useEffect(() => {
    if (!active) return;
    const begun = beginAttempt({ session, run: session.snapshot().run, clock, others }, (change) =>
      setDrawn((now) => ({
        of: attempt,
        drawn: { ...(now.of === attempt ? now.drawn : NOTHING_DRAWN), ...change },
      })),
    );
    calling.current = begun;
    return () => {
      begun.cancel();
      calling.current = null;
      setDrawn({ of: attempt, drawn: NOTHING_DRAWN });
    };
  }, [session, clock, others, attempt, active]);
  // What the previous attempt drew must not show for a frame of this one.
  const shown = drawn.of === attempt ? drawn.drawn : NOTHING_DRAWN;
  return { shown, call: (letter) => calling.current?.call(letter) };
}
