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

/** Where nothing is said, camera and athlete are taken to hear a cue together. */
const HEARD_TOGETHER: SoundWay = { toCameraM: 0, toAthleteM: 0 };

/** A film of a pattern has a clock of its own: each rep begins where its cue is marked. */
const itsOwnClock = (rate: number): Alignment => ({
  ...{ offsetMs: 0, rate, sdMs: 0, heard: new Map(), strays: [] },
});

/** How a film hangs together with its set. */
export interface Tie {
  /** `null` until its cues were heard, or two of them marked. */
  readonly alignment: Alignment | null;
  readonly isHeard: boolean;
  /** The cues were heard, but somebody ties it by cues they mark: what was heard was not right. */
  readonly isByHand: boolean;
  /** `null` where nothing was heard that could be set aside. */
  readonly setByHand: ((isByHand: boolean) => void) | null;
  /** How many times slowed somebody says it is; `null`: as its cues say. */
  readonly slowed: SlowFactor | null;
  readonly setSlowed: (factor: SlowFactor | null) => void;
  readonly way: SoundWay;
  readonly setWay: (way: SoundWay) => void;
}

/** Listens for the set's cues in the film; where they are not heard, two marked ones tie it. */
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
  // What is kept of the set changes no cue: it is not listened to again for that.
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
