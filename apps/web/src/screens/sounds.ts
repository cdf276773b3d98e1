import { isSpoken, screenKindOf, soundKindOf } from '@orthokin/core/drill';
import { cueWords, numberOf } from '../drill/cue-words.js';
import type { CuePlan } from '../drill/cue-plan.js';
import { planBeep, type Beep } from '../sound/audio.js';
import { planWords } from '../sound/spoken.js';
import { DEVICE_VOICE_SD_MS, voiceNow } from '../sound/voice.js';
import { SCREEN_SD_MS } from './on-frame.js';

const CUE_HZ = 880;
const LENGTH_S = 0.14;
const LEVEL = 0.5;
/** A scale without semitones, whose notes are easy to tell apart. */
const SCALE = [0, 2, 4, 7, 9, 12, 14, 16, 19, 21, 24, 26];
const LOWEST_HZ = 330;

/** Without anything on the screen each target has its own note; otherwise one tone means "now". */
const toneHz = (plan: CuePlan, letter: string): number =>
  screenKindOf(plan.conditions) === null
    ? LOWEST_HZ * 2 ** ((SCALE[numberOf(plan, letter) - 1] ?? 0) / 12)
    : CUE_HZ;

/** A cue's tone; `null` if it is not cued by tone. */
export const cueBeep = (plan: CuePlan, letter: string): Beep | null =>
  soundKindOf(plan.conditions) === 'tone'
    ? { hz: toneHz(plan, letter), lengthS: LENGTH_S, level: LEVEL }
    : null;

/**
 * Schedules a cue's sound at a page time.
 * @returns cancels it
 */
export function planCueSound(plan: CuePlan, letter: string, pageMs: number): () => void {
  const beep = cueBeep(plan, letter);
  if (beep) return planBeep(beep, pageMs);
  return isSpoken(plan.conditions) ? planWords(cueWords(plan, letter), pageMs) : () => undefined;
}

/** "Freeze" is always spoken, since the athlete is not looking at a screen then. */
export const planFreeze = (pageMs: number): (() => void) => planWords(['freeze'], pageMs);

/** The error of a cue's time, ms. Shown or scheduled cues are more certain than a device's own voice. */
export const cueSdMs = ({ conditions }: CuePlan): number =>
  screenKindOf(conditions) === null && isSpoken(conditions) && voiceNow() === 'device'
    ? DEVICE_VOICE_SD_MS
    : SCREEN_SD_MS;
