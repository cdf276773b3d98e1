import type { DrillSetBody, RepBody } from '@orthokin/contract';
import type { Cue } from '@orthokin/core/cue';
import { rungOf, type Pattern } from '@orthokin/core/pattern';
import { ok, wrong, type Result } from '@orthokin/core/result';
import { checkEvents } from '@orthokin/core/timing';
import { accepted } from '../../platform/http/refusals.js';
import { refuseAhead, refuseOtherDay } from '../ahead.js';

/** Refuses a set that does not fit its pattern. */
export function checkAgainst(pattern: Pattern, body: DrillSetBody): void {
  refuseAhead('startedAt', body.startedAt);
  refuseOtherDay('day', body.day, body.startedAt);
  const rung = rungOf(pattern, body.rung);
  if (!rung) accepted(wrong('rung', body.rung, `1 to ${pattern.rungs.length}`));
  accepted(checkCues(body, rung?.targets ?? []));
}

/** There must be cues, unless they are called live, and only for targets in play. */
function checkCues({ cues, conditions }: DrillSetBody, inPlay: readonly string[]): Result<null> {
  const isCalled = conditions.order === 'called';
  if (isCalled !== (cues.length === 0))
    return wrong('cues', cues.length, isCalled ? 'none: they are called live' : 'at least one');
  for (const [i, { target, switchTo }] of cues.entries()) {
    const stray = [target, switchTo?.target].find((letter) => letter && !inPlay.includes(letter));
    if (stray)
      return wrong(
        `cues[${i}].${stray === target ? 'target' : 'switchTo.target'}`,
        stray,
        inPlay.join(', '),
      );
  }
  return ok(null);
}

/** Checks a rep of a complete set: its events, and that it answers a cue. */
export function checkRep(body: RepBody, cues: readonly Cue[]): Result<null> {
  const cue = cues.find(({ ordinal }) => ordinal === body.ordinal);
  const events = checkEvents(body.events, !cue?.catch);
  if (!events.ok) return events;
  // A set that was called live has no cues to answer.
  return cues.length === 0 ? ok(null) : checkAnswers(body, cues);
}

/** The same result, with the problem's field prefixed. */
export const within = <T>(field: string, result: Result<T>): Result<T> =>
  result.ok
    ? result
    : wrong(`${field}.${result.problem.field}`, result.problem.given, result.problem.allowed);

/** A rep must answer a cue of its set. */
export function checkAnswers({ ordinal, target }: RepBody, cues: readonly Cue[]): Result<null> {
  const cue = cues.find((each) => each.ordinal === ordinal);
  if (!cue) return wrong('ordinal', ordinal, `a cue of the set: 1 to ${cues.length}`);
  if (cue.target !== target)
    return wrong('target', target, `${cue.target}, the target of cue ${ordinal}`);
  return ok(null);
}
