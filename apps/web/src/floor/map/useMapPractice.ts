import { isKnown, nextAsk, seededRandom, type Answer } from '@orthokin/core/cue';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { CuePlan } from '../../drill/cue-plan.js';
import { Cancels } from '../../screens/cancels.js';
import { NOTHING_SHOWN, present, type Shown } from '../../screens/present.js';

/** Pause after an answer, to see what was right. */
const BETWEEN_MS = 1100;
const AFTER_WRONG_MS = 2200;

export interface MapPractice {
  readonly answers: readonly Answer[];
  /** The target asked for; `null` between two cues and at the end. */
  readonly asked: string | null;
  readonly shown: Shown;
  readonly isOver: boolean;
  readonly point: (letter: string, pressedAt: number) => void;
}

/** Asks for one target after another until each is known, or clearly is not. */
export function useMapPractice(
  plan: CuePlan,
  letters: readonly string[],
  seed: number,
): MapPractice {
  const random = useMemo(() => seededRandom(seed), [seed]);
  const [answers, setAnswers] = useState<readonly Answer[]>([]);
  const [asked, setAsked] = useState<string | null>(null);
  const [isOver, setIsOver] = useState(false);
  const [shown, setShown] = useState<Shown>(NOTHING_SHOWN);
  const cuedAt = useRef(0);
  const latest = useRef({ plan, letters });
  useEffect(() => {
    latest.current = { plan, letters };
  });
  useEffect(() => {
    const last = answers.at(-1);
    const wait = last && last.given !== last.asked ? AFTER_WRONG_MS : BETWEEN_MS;
    const cancels = new Cancels();
    const next = nextAsk(answers, latest.current.letters, random);
    cancels.after(wait, () => {
      if (next === null) {
        setIsOver(true);
        return;
      }
      const dueMs = performance.now() + 100;
      present(
        latest.current.plan,
        { letter: next, dueMs, switchTo: null, freezeMs: null, late: null },
        (change) => setShown((now) => ({ ...now, ...change })),
        cancels,
        (pageMs) => {
          cuedAt.current = pageMs;
          setAsked(next);
        },
      );
    });
    return cancels.cancel;
  }, [answers, random]);
  return {
    answers,
    asked,
    shown,
    isOver,
    point: (given, pressedAt) => {
      if (asked === null) return;
      setAsked(null);
      setShown(NOTHING_SHOWN);
      setAnswers([...answers, { asked, given, afterMs: pressedAt - cuedAt.current }]);
    },
  };
}

/** How many of the targets are known so far. */
export const knownSoFar = (answers: readonly Answer[], letters: readonly string[]): number =>
  letters.filter((letter) => isKnown(answers, letter)).length;
