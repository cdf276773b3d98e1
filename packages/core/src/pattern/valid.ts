import { ok, wrong, type Result } from '../result/index.js';
import { courtOf, distance, hasOwnSize, withinCourt } from '../floor/index.js';
import type { Leg } from './leg.js';
import { MAX_CUE_WORDS, wordCount } from './notes.js';
import { MAX_TARGETS, type Pattern } from './pattern.js';

const repeated = (values: readonly string[]): number =>
  values.findIndex((value, i) => values.indexOf(value) !== i);

function legProblem(leg: Leg, index: number, letters: readonly string[]): Result<never> | null {
  const field = `legs[${index}]`;
  if (!letters.includes(leg.target))
    return wrong(`${field}.target`, leg.target, `the letter of a target: ${letters.join(', ')}`);
  for (const [i, { atMs }] of leg.placements.entries()) {
    const before = leg.placements[i - 1];
    if (before && atMs < before.atMs)
      return wrong(
        `${field}.placements[${i}].atMs`,
        atMs,
        `${before.atMs} or later: in order of landing`,
      );
  }
  for (const name of ['load', 'action'] as const)
    if (wordCount(leg.notes[name].cue) > MAX_CUE_WORDS)
      return wrong(
        `${field}.notes.${name}.cue`,
        leg.notes[name].cue,
        `at most ${MAX_CUE_WORDS} words`,
      );
  return null;
}

/**
 * Checks that a pattern's parts fit together. Their shapes are the contract's to check.
 * @returns the pattern, or the first problem
 */
export function checkPattern<Checked extends Pattern>(pattern: Checked): Result<Checked> {
  const letters = pattern.targets.map(({ letter }) => letter);
  if (letters.length > MAX_TARGETS)
    return wrong('targets', letters.length, `at most ${MAX_TARGETS} targets`);
  const twice = repeated(letters);
  if (twice >= 0) return wrong(`targets[${twice}].letter`, letters[twice], 'each letter once');
  if (hasOwnSize(pattern.court) !== (pattern.sizeM !== null))
    return wrong(
      'sizeM',
      pattern.sizeM,
      hasOwnSize(pattern.court)
        ? 'a width and a length'
        : 'null: this court has the size of its rules',
    );
  const { onCourt } = pattern.home;
  if (distance(onCourt, withinCourt(pattern.court, pattern.sizeM, onCourt)) > 0) {
    const { widthM, lengthM } = courtOf(pattern.court, pattern.sizeM);
    return wrong(
      'home.onCourt',
      `${onCourt.x}, ${onCourt.y}`,
      `on the floor: ${-widthM / 2} to ${widthM / 2} m across, 0 to ${lengthM} m from the back`,
    );
  }
  const [earliest, latest] = pattern.splitWindowMs;
  if (earliest > latest) return wrong('splitWindowMs', pattern.splitWindowMs, 'the earliest first');
  for (const [name, { cue }] of Object.entries(pattern.positions))
    if (wordCount(cue) > MAX_CUE_WORDS)
      return wrong(`positions.${name}.cue`, cue, `at most ${MAX_CUE_WORDS} words`);
  const legTwice = repeated(pattern.legs.map(({ target }) => target));
  if (legTwice >= 0)
    return wrong(`legs[${legTwice}].target`, pattern.legs[legTwice]?.target, 'one leg a target');
  for (const [i, leg] of pattern.legs.entries()) {
    const problem = legProblem(leg, i, letters);
    if (problem) return problem;
  }
  for (const [i, { number, targets, coachLimits = [] }] of pattern.rungs.entries()) {
    if (number !== i + 1) return wrong(`rungs[${i}].number`, number, String(i + 1));
    const stray = targets.find((letter) => !letters.includes(letter));
    if (stray !== undefined)
      return wrong(`rungs[${i}].targets`, stray, `letters of targets: ${letters.join(', ')}`);
    const limited = coachLimits.map(({ event, from }) => `${event} from ${from}`);
    const limitTwice = repeated(limited);
    if (limitTwice >= 0)
      return wrong(
        `rungs[${i}].coachLimits[${limitTwice}].event`,
        limited[limitTwice],
        'each event once after the cue and once after the arrival',
      );
  }
  return ok(pattern);
}
