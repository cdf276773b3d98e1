import {
  asHeardByAthlete,
  SLOW_FACTORS,
  taggedFactor,
  tiedByHand,
  type Alignment,
  type Marks,
  type SlowFactor,
  type SoundWay,
} from '@orthokin/core/film';
import { useEffect, useEffectEvent } from 'react';
import { useRemembered } from '../../device/useRemembered.js';
import type { Film } from '../read/useFilm.js';
import type { FilmSubject } from '../subject.js';

/** By default camera and athlete hear a cue at the same time. */
const HEARD_TOGETHER: SoundWay = { toCameraM: 0, toAthleteM: 0 };

/** A pattern's film has its own clock; each rep begins at its marked cue. */
const itsOwnClock = (rate: number): Alignment => ({
  ...{ offsetMs: 0, rate, sdMs: 0, heard: new Map(), strays: [] },
});

/** How a film is tied to its set. */
export interface Tie {
  /** `null` until cues were found, or two were marked. */
  readonly alignment: Alignment | null;
  readonly isHeard: boolean;
  /** Somebody ties it by marked cues, ignoring those found. */
  readonly isByHand: boolean;
  /** `null` if no cues were found that could be ignored. */
  readonly setByHand: ((isByHand: boolean) => void) | null;
  /** The slow motion somebody chose; `null`: as the cues say. */
  readonly slowed: SlowFactor | null;
  readonly setSlowed: (factor: SlowFactor | null) => void;
  readonly way: SoundWay;
  readonly setWay: (way: SoundWay) => void;
}

/** Finds the set's cues in a film's sound; without them two marked cues tie it. */
export function useTie(
  filmKey: string,
  { reps, cueHz, review }: FilmSubject,
  { info, heard, ask }: Film,
  marks: Marks,
): Tie {
  const [slowed, setSlowed] = useRemembered<SlowFactor | null>(`film-slowed.${filmKey}`, null);
  const [way, setWay] = useRemembered<SoundWay>(`film-sound.${filmKey}`, HEARD_TOGETHER);
  const listen = useEffectEvent(() => {
    if (!info || !review) return;
    const tonesHz = new Set(cueHz.flatMap((hz) => hz ?? []));
    ask({
      ask: 'hear',
      plannedMs: reps.map(({ cue }) => cue.atMs),
      tonesHz: [...tonesHz],
      factors: slowed === null ? SLOW_FACTORS : [slowed],
    });
  });
  // Storing marks changes no cue, so the sound is not searched again.
  useEffect(() => listen(), [info, ask, slowed]);
  const [isByHand, setByHand] = useRemembered(`film-tied-by-hand.${filmKey}`, false);
  const found = heard?.alignment;
  const used = isByHand ? null : found;
  const framesMs = info?.framesMs ?? [];
  const factor = slowed ?? taggedFactor(info?.capturedPerS ?? null, framesMs);
  if (!review)
    return {
      ...{ alignment: itsOwnClock(factor ?? 1), isHeard: false, isByHand: false, setByHand: null },
      ...{ slowed, setSlowed, way, setWay },
    };
  return {
    alignment: used ? asHeardByAthlete(used, way) : tiedByHand(reps, marks, framesMs, factor),
    isHeard: Boolean(used),
    isByHand: isByHand && Boolean(found),
    setByHand: found ? setByHand : null,
    ...{ slowed, setSlowed, way, setWay },
  };
}
