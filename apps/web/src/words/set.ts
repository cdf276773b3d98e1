import type { Target } from '@orthokin/core/floor';
import type { Fade, PhaseDifference, TravelLine } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { capital, count, seconds, secondsWithUnit } from './format.js';

/** A difference in seconds with its sign. */
export const signed = (ms: number): string => {
  const words = seconds(Math.abs(ms));
  return words === '0.00' ? '0.00' : `${ms < 0 ? '−' : '+'}${words}`;
};

/** Whether a set faded, with its numbers. */
export function fadeSentence(name: string, fade: Fade | null): string {
  if (!fade) return 'Too few reps to say whether the set faded.';
  const { msPerRep, interval, firstThirdMs, lastThirdMs, n, isFading } = fade;
  const slope = (ms: number) => `${ms < 0 ? '−' : '+'}${(Math.abs(ms) / 1000).toFixed(3)}`;
  const between = interval
    ? ` (95 % between ${slope(interval.low)} and ${slope(interval.high)})`
    : '';
  const thirds = `first third ${secondsWithUnit(firstThirdMs)}, last ${secondsWithUnit(lastThirdMs)}, each target’s own time set aside`;
  return isFading
    ? `It faded: ${name} grew by ${slope(msPerRep)} s a rep${between} over ${n} reps; ${thirds}. Rest longer, or fewer reps.`
    : `No clear fade: ${name} changed by ${slope(msPerRep)} s a rep${between} over ${n} reps; ${thirds}.`;
}

/** The target that is slow beyond its distance; or that none is. */
export function residualSentence(
  { fit, residualsMs, sureToMs }: TravelLine,
  targets: readonly Target[],
): string {
  const off = [...residualsMs]
    .filter(([letter, ms]) => ms > (sureToMs.get(letter) ?? Infinity))
    .sort((a, b) => b[1] - a[1]);
  const line = `travel line of ${fit.n} ways: ${fit.acceleration.toFixed(1)} m/s² and up to ${fit.topSpeed.toFixed(1)} m/s`;
  const [worst] = off;
  if (!worst) return `No target takes longer than its distance explains (${line}).`;
  const [letter, ms] = worst;
  const name = targets.find((target) => target.letter === letter)?.name ?? '';
  const sure = seconds(sureToMs.get(letter) ?? 0);
  return `${letter}, ${name}, takes ${seconds(ms)} s longer to reach than its distance explains, sure to ±${sure} s (${line}).`;
}

/** Catch, switch and freeze trials: what they tested and how it went; `null` without any. */
export function trialSentence(readings: readonly RepReading[]): string | null {
  const of = (trial: RepReading['trial']) =>
    readings.filter((each) => each.trial === trial && !each.rep.struckOut);
  const [catches, switches, freezes] = [of('catch'), of('switch'), of('freeze')];
  const parts: string[] = [];
  if (catches.length > 0) {
    const held = catches.filter(({ faults }) => !faults.includes('moved on a catch trial')).length;
    parts.push(`held still in ${held} of ${count(catches.length, 'catch trial')}`);
  }
  if (switches.length > 0) {
    const right = switches.filter(({ faults }) => !faults.includes('wrong way')).length;
    parts.push(`followed ${right} of ${count(switches.length, 'switched cue')}`);
  }
  if (freezes.length > 0) {
    const checked = freezes.flatMap(({ rep }) => rep.marks?.checked ?? []);
    const points = checked.reduce((sum, { of: all }) => sum + all, 0);
    const held = checked.reduce((sum, each) => sum + each.held, 0);
    parts.push(
      points > 0
        ? `${held} of ${count(points, 'check point')} right in ${count(freezes.length, 'freeze call')}`
        : `${count(freezes.length, 'freeze call')}, not checked`,
    );
  }
  return parts.length > 0 ? `Apart from the timed reps: ${parts.join('; ')}.` : null;
}

/** Where a rep lost or won most against a reference. */
export function differenceSentence(differences: readonly PhaseDifference[]): string {
  const phases = differences.filter(({ name }) => name !== 'cycle');
  const [most] = [...phases].sort((a, b) => Math.abs(b.ms) - Math.abs(a.ms));
  if (!most) return 'Nothing of it was timed in both.';
  if (!most.isSure) return 'No phase differs by more than the timing’s own error.';
  return `${capital(most.name)} differs most: ${signed(most.ms)} s.`;
}
