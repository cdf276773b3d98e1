import type { SquadLineReply } from '@orthokin/contract';
import type { SquadNeed } from '@orthokin/core/progress';
import { LATELY_DAYS, type ShortCourse } from '@orthokin/core/stats';
import { answerWords, lackWords } from './decision.js';
import { listWords, secondsWithUnit } from './format.js';
import { squad as en } from './en/squad.js';
import { speaker } from './say.js';

/** What is said at the squad's own page. */
export const say = speaker(en);

const HEADINGS: Readonly<Record<SquadNeed, string>> = {
  'can move up': say('needCanMoveUp'),
  held: say('needHeld'),
  changed: say('needChanged'),
  'not seen lately': say('needNotSeen', { days: LATELY_DAYS }),
  'on their way': say('needOnTheirWay'),
  'not timed yet': say('needNotTimed'),
};

/** Heading of the athletes who need the coach for the same reason. */
export const needHeading = (need: SquadNeed): string => HEADINGS[need];

/** The most names in a sentence. */
const MOST_NAMED = 3;

const namesOf = (lines: readonly SquadLineReply[]): string => {
  const names = lines.map(({ athlete }) => athlete.name);
  return names.length <= MOST_NAMED
    ? listWords(names)
    : listWords([
        ...names.slice(0, MOST_NAMED - 1),
        say('andOthers', { count: names.length - MOST_NAMED + 1 }),
      ]);
};

/** Who needs the coach, in one sentence. */
export function squadSentence(lines: readonly SquadLineReply[]): string {
  const of = (need: SquadNeed) => lines.filter((line) => line.need === need);
  const [ready, held, changed] = [of('can move up'), of('held'), of('changed')];
  if (lines.length === 0) return say('noAthletesThisClubYet');
  if (of('not timed yet').length === lines.length) return say('nobodyTimedYet');
  const sentences = [
    ready.length > 0 && say('namesCanMoveUp', { names: namesOf(ready) }),
    held.length > 0 && say('namesAreHeld', { names: namesOf(held), count: held.length }),
    changed.length > 0 && say('namesChanged', { names: namesOf(changed) }),
  ].filter(Boolean);
  if (sentences.length > 0) return sentences.join(' ');
  const oneAway = lines.filter(
    ({ lastSet }) =>
      lastSet?.decision.answer === 'not enough reps yet' && lastSet.outcome === 'passed',
  );
  return oneAway.length > 0
    ? say('namesWhichOneMorePassedSet', {
        names: namesOf(oneAway),
        which: oneAway.length === 1 ? 'needs' : 'need',
      })
    : say('nobodyNeedsYou', { lines: lines.length });
}

/** Why an athlete is under their heading, or how their last set went. */
export function needSentence({ need, claims, lastSet }: SquadLineReply): string {
  const last = lastSet ? answerWords(lastSet.decision, lastSet.outcome) : say('noSetYet');
  if (need === 'held') {
    const gate = lastSet?.decision.limiting;
    return gate ? say('heldDays', { lack: lackWords(gate) }) : say('heldPlain');
  }
  if (need === 'changed')
    return claims.change === 'slower'
      ? say('clearlySlower')
      : say('newSide', { side: claims.slowerSide ?? '' });
  return claims.change === 'faster' ? `${last}. ${say('clearlyFaster')}` : last;
}

export const courseCaption = ({ duration, limitMs }: ShortCourse): string =>
  limitMs === null ? duration : say('courseCaption', { duration, limit: secondsWithUnit(limitMs) });
