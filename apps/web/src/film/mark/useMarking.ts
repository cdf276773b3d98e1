import {
  withCheck,
  withCoachMark,
  withFault,
  withMark,
  withMissed,
  type Marked,
  type Marks,
} from '@orthokin/core/film';
import type { PositionName } from '@orthokin/core/pattern';
import type { Fault } from '@orthokin/core/timing';
import { useState } from 'react';
import { useRemembered } from '../../device/useRemembered.js';

/** The marks of a film, and the same events marked once more without seeing the first. */
export interface Marking {
  /** What counts. */
  readonly marks: Marks;
  /** Marked again, blind; no rep is ever made of them. */
  readonly again: Marks;
  readonly isBlind: boolean;
  /** Those that are being made: blind, the first are not shown. */
  readonly shown: Marks;
  readonly mark: (ordinal: number, name: Marked | 'cue', frame: number) => void;
  /** An event of the coach's own. */
  readonly markOwn: (ordinal: number, name: string, frame: number) => void;
  readonly miss: (ordinal: number) => void;
  readonly fault: (ordinal: number, fault: Fault, standing: readonly Fault[]) => void;
  readonly check: (ordinal: number, position: PositionName, point: string) => void;
  readonly beginBlind: () => void;
  readonly endBlind: () => void;
}

/** Every mark is kept on this device as it is made: the page may be closed at any moment. */
export function useMarking(filmKey: string): Marking {
  const [marks, setMarks] = useRemembered<Marks>(`film-marks.${filmKey}`, {});
  const [again, setAgain] = useRemembered<Marks>(`film-again.${filmKey}`, {});
  const [isBlind, setBlind] = useState(false);
  const [shown, keep] = isBlind ? [again, setAgain] : [marks, setMarks];
  return {
    ...{ marks, again, isBlind, shown },
    mark: (ordinal, name, frame) => keep(withMark(shown, ordinal, name, frame)),
    markOwn: (ordinal, name, frame) => keep(withCoachMark(shown, ordinal, name, frame)),
    miss: (ordinal) => keep(withMissed(shown, ordinal)),
    // Faults are no moments: blind or not, what was seen counts.
    fault: (ordinal, fault, standing) => setMarks(withFault(marks, ordinal, fault, standing)),
    check: (ordinal, position, point) => setMarks(withCheck(marks, ordinal, position, point)),
    beginBlind: () => {
      setAgain({});
      setBlind(true);
    },
    endBlind: () => setBlind(false),
  };
}
