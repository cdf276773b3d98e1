import { dueMs } from '../drill/index.js';
import { CATCH_HOLD_MS, homeForSureMs, positionMs } from './expected.js';
import type { RunPlan } from './plan.js';

/** A sound in a track, ms after the start tone. */
export interface TrackSound {
  readonly atMs: number;
  readonly what:
    | { readonly kind: 'start' | 'tick' | 'rest' }
    | { readonly kind: 'cue' | 'switch'; readonly letter: string; readonly ordinal: number }
    | { readonly kind: 'freeze' };
}

/** The sounds of a whole set's cues, ms. */
export interface Track {
  readonly sounds: readonly TrackSound[];
  /** When each cue sounds, by its number; a catch trial has none. */
  readonly cuesMs: ReadonlyMap<number, number>;
  readonly lengthMs: number;
}

const COUNT_IN = 3;
const COUNT_EVERY_MS = 1000;
/** Time to look at a frozen position, ms. */
const FREEZE_HOLD_MS = 3000;
const REST_AFTER_MS = 800;
const TAIL_MS = 1500;

/**
 * A set's cues as a track, whose zero is its start tone: that tone, a count-in, each cue after its wait, and "rest".
 * Nobody sees the athlete come home, so each rep gets its expected time.
 */
export function trackOf(plan: RunPlan): Track {
  const sounds: TrackSound[] = [{ atMs: 0, what: { kind: 'start' } }];
  const cuesMs = new Map<number, number>();
  for (let n = 1; n <= COUNT_IN; n++)
    sounds.push({ atMs: n * COUNT_EVERY_MS, what: { kind: 'tick' } });
  let readyMs = (COUNT_IN + 1) * COUNT_EVERY_MS;
  let lastCueMs: number | null = null;
  for (const cue of plan.cues) {
    const { ordinal, target, foreperiodMs, switchTo, freezeAt } = cue;
    const atMs = dueMs(plan.conditions.pace.everyMs, { readyMs, foreperiodMs, lastCueMs });
    if (cue.catch) {
      readyMs = atMs + CATCH_HOLD_MS;
      lastCueMs = null;
      continue;
    }
    cuesMs.set(ordinal, atMs);
    sounds.push({ atMs, what: { kind: 'cue', letter: target, ordinal } });
    if (switchTo)
      sounds.push({
        atMs: atMs + switchTo.afterMs,
        what: { kind: 'switch', letter: switchTo.target, ordinal },
      });
    readyMs = atMs + homeForSureMs(plan, switchTo?.target ?? target);
    if (freezeAt) {
      sounds.push({ atMs: atMs + positionMs(plan, target, freezeAt), what: { kind: 'freeze' } });
      readyMs += FREEZE_HOLD_MS;
    }
    lastCueMs = atMs;
  }
  const restMs = readyMs + REST_AFTER_MS;
  sounds.push({ atMs: restMs, what: { kind: 'rest' } });
  return { sounds, cuesMs, lengthMs: restMs + TAIL_MS };
}
