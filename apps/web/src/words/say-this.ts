import type { Target } from '@orthokin/core/floor';
import type { GatedDuration } from '@orthokin/core/pattern';
import type { ToKeep, ToMend } from '@orthokin/core/progress';
import type { Fault, FaultWords } from '@orthokin/core/timing';
import { sayThis as en } from './en/say-this.js';
import { faultWords } from './fault.js';
import { capital, secondsWithUnit } from './format.js';
import { speaker } from './say.js';

/** What to say to an athlete after a set. */
export const say = speaker(en);

const SLOW = {
  reaction: ['slowReaction', 'slowReactionAt'],
  response: ['slowResponse', 'slowResponseAt'],
  recovery: ['slowRecovery', 'slowRecoveryAt'],
  cycle: ['slowCycle', 'slowCycleAt'],
} as const satisfies Record<GatedDuration, readonly [string, string]>;

const named = (letter: string | null, targets: readonly Target[]): Target | undefined =>
  targets.find((target) => target.letter === letter);

/** The sentence that a coach says aloud. */
export function mendCue(
  mend: ToMend,
  targets: readonly Target[],
  own: readonly FaultWords[],
): string {
  if (mend.kind === 'fault') {
    const words = faultWords(mend.fault, own);
    return words.say || capital(words.name);
  }
  const target = named(mend.at, targets);
  const [everywhere, atOne] = SLOW[mend.gate];
  return target ? say(atOne, { name: target.name || target.letter }) : say(everywhere);
}

/** Why: what was counted, and the one target it shows at. */
export function mendWhy(
  mend: ToMend,
  targets: readonly Target[],
  own: readonly FaultWords[],
): string {
  const target = named(mend.at, targets);
  const at = target ? say('at', { letter: target.letter, name: target.name }) : '';
  const counts = { reps: mend.reps, of: mend.of, at };
  return mend.kind === 'fault'
    ? say('faultWhy', { ...counts, fault: capital(faultWords(mend.fault, own).name) })
    : say('slowWhy', {
        ...counts,
        gate: capital(mend.gate),
        toGo: mend.overMs > 0 ? say('toGo', { overMs: secondsWithUnit(mend.overMs) }) : '',
      });
}

/** What to keep. */
export const keepWords = (keep: ToKeep, own: readonly FaultWords[]): string =>
  keep.kind === 'without'
    ? say('keepWithout', { fault: nameOf(keep.fault, own), of: keep.of })
    : say('keepInside', { gate: keep.gate, of: keep.of });

const nameOf = (fault: Fault, own: readonly FaultWords[]): string => faultWords(fault, own).name;
