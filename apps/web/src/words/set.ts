import type { Target } from '@orthokin/core/floor';
import type { Fade, FadeWord, PhaseDifference, TravelLine } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { capital, seconds, secondsWithUnit, semicolonList, signedSeconds } from './format.js';
import { set as en } from './en/set.js';
import { speaker } from './say.js';

const say = speaker(en);

/** A difference in seconds with its sign. */
export const signed = (ms: number): string => {
  const words = signedSeconds(ms);
  return words === '0.00' || ms < 0 ? words : `+${words}`;
};

const FADED = {
  faded: 'fadedNameGrewSlopeSRep',
  'sped up': 'spedUpNameFellSlope',
  'no clear change': 'noClearChangeNameChangedSlope',
} as const satisfies Record<FadeWord, string>;

/** Whether a set faded or sped up, with its numbers. */
export function fadeSentence(name: string, fade: Fade | null): string {
  if (!fade) return say('tooFewRepsSayWhetherSet');
  const { msPerRep, interval, firstThirdMs, lastThirdMs, n, words } = fade;
  const slope = (ms: number) => `${ms < 0 ? '−' : '+'}${(Math.abs(ms) / 1000).toFixed(3)}`;
  const between = interval
    ? say('n95BetweenSlopeSlope2', { slope: slope(interval.low), slope2: slope(interval.high) })
    : '';
  const thirds = say('firstThirdFirstthirdmsLastLastthirdmsEach', {
    firstThirdMs: secondsWithUnit(firstThirdMs),
    lastThirdMs: secondsWithUnit(lastThirdMs),
  });
  return say(FADED[words], { name, slope: slope(msPerRep), between, n, thirds });
}

/** The target that is slower than its distance explains; or that there is none. */
export function residualSentence(
  { fit, residualsMs, sureToMs }: TravelLine,
  targets: readonly Target[],
): string {
  const off = [...residualsMs]
    .filter(([letter, ms]) => ms > (sureToMs.get(letter) ?? Infinity))
    .sort((a, b) => b[1] - a[1]);
  const line = say('travelLineNWaysAccelerationM', {
    n: fit.n,
    acceleration: fit.acceleration.toFixed(1),
    topSpeed: fit.topSpeed.toFixed(1),
  });
  const [worst] = off;
  if (!worst) return say('noTargetTakesLongerThanIts', { line });
  const [letter, ms] = worst;
  const name = targets.find((target) => target.letter === letter)?.name ?? '';
  const sure = seconds(sureToMs.get(letter) ?? 0);
  return say('letterNameTakesMsSLonger', { letter, name, ms: seconds(ms), sure, line });
}

/** Results of catch, switch and freeze trials; `null` without any. */
export function trialSentence(readings: readonly RepReading[]): string | null {
  const of = (trial: RepReading['trial']) =>
    readings.filter((each) => each.trial === trial && !each.rep.struckOut);
  const [catches, switches, freezes] = [of('catch'), of('switch'), of('freeze')];
  const parts: string[] = [];
  if (catches.length > 0) {
    const held = catches.filter(({ faults }) => !faults.includes('moved on a catch trial')).length;
    parts.push(say('heldStillHeldCatches', { held, catches: catches.length }));
  }
  if (switches.length > 0) {
    const right = switches.filter(({ faults }) => !faults.includes('wrong way')).length;
    parts.push(say('followedRightSwitches', { right, switches: switches.length }));
  }
  if (freezes.length > 0) {
    const checked = freezes.flatMap(({ rep }) => rep.marks?.checked ?? []);
    const points = checked.reduce((sum, { of: all }) => sum + all, 0);
    const held = checked.reduce((sum, each) => sum + each.held, 0);
    parts.push(
      points > 0
        ? say('heldPointsRightFreezes', { held, points, freezes: freezes.length })
        : say('freezesNotChecked', { freezes: freezes.length }),
    );
  }
  return parts.length > 0 ? say('apartFromTimedRepsParts', { parts: semicolonList(parts) }) : null;
}

/** Where a rep lost or gained most against a reference rep. */
export function differenceSentence(differences: readonly PhaseDifference[]): string {
  const phases = differences.filter(({ name }) => name !== 'cycle');
  const [most] = [...phases].sort((a, b) => Math.abs(b.ms) - Math.abs(a.ms));
  if (!most) return say('nothingWasTimedBoth');
  if (!most.isSure) return say('noPhaseDiffersMoreThanTimings');
  return say('mostDiffersMostMsS', { most: capital(most.name), ms: signed(most.ms) });
}
