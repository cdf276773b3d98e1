import type { StandingReply } from '@orthokin/contract';
import { isNotSeenLately, LATELY_DAYS } from '@orthokin/core/stats';
import { lackWords } from './decision.js';
import { commaList, dayWords, listWords, percent } from './format.js';
import { signed } from './set.js';
import { glance as en } from './en/glance.js';
import { speaker } from './say.js';

const say = speaker(en);

const names = (lines: readonly StandingReply[]): string =>
  listWords(lines.map(({ athlete }) => athlete.name));

export function changeCell({
  standing,
  claims,
}: Pick<StandingReply, 'standing' | 'claims'>): string {
  const { change, basis } = standing;
  if (!change) return say('nothingAlikeCompareYet');
  const words = claims.change ? say('clearlyChange', { change: claims.change }) : say('notClear');
  // A unit on a line of its own reads as a word of its own.
  return `${words}, ${signed(change.changeMs)}\u00a0s${basis === 'the standard test' ? '' : ' (weeks)'}`;
}

export function heldCell({ decision, held }: Pick<StandingReply, 'decision' | 'held'>): string {
  const days = held
    ? say('passshareKeptOverDays', { passShare: percent(held.passShare), days: held.days })
    : '';
  if (decision.answer === 'move up') return say('readyMoveUp');
  if (decision.because === 'top of the ladder') return say('topRungMet');
  if (decision.limiting) return `${lackWords(decision.limiting)}${days}`;
  return decision.sets === 0
    ? say('nothingShownThisRungYet')
    : say('setidsThisRungDays', { setIds: decision.sets, days });
}

export function sidesCell({
  standing,
  claims,
}: Pick<StandingReply, 'standing' | 'claims'>): string {
  const { lean, leanChange } = standing;
  if (!lean) return say('tooFewDays');
  if (!claims.slowerSide) return say('noClearDifference');
  const shown = claims.isNewLean && leanChange ? leanChange.nowPercent : lean.percent;
  return say('whichSlowersideAbsSlower', {
    which: claims.isNewLean ? 'new: ' : '',
    slowerSide: claims.slowerSide,
    abs: Math.abs(shown).toFixed(0),
  });
}

export const lastTimedCell = ({ standing }: Pick<StandingReply, 'standing'>): string =>
  standing.lastTimedMs === null
    ? say('notTwelveWeeks')
    : dayWords(new Date(standing.lastTimedMs).toISOString());

/** Not a set of theirs is known. */
export const isNeverTimed = ({ lastSet, standing }: StandingReply): boolean =>
  lastSet === null && standing.lastTimedMs === null;

/** What the coach should know of the squad, the most telling first. */
export function squadSentences(lines: readonly StandingReply[], nowMs = Date.now()): string[] {
  if (lines.length === 0) return [say('noAthletesThisClubYet')];
  if (lines.every(isNeverTimed)) return [say('nobodyTimedYet')];
  const better = lines.filter(({ claims }) => claims.change === 'faster');
  const worse = lines.filter(({ claims }) => claims.change === 'slower');
  const stuck = lines.filter(({ claims }) => claims.isStuck);
  const leaning = lines.filter(({ claims }) => claims.isNewLean);
  const missing = lines.filter((line) => isNotSeenLately(line.standing, nowMs));
  const sentences = [
    say('betterLinesClearlyFasterWhich', {
      better: better.length,
      lines: lines.length,
      which: better.length > 0 && better.length < 4 ? `: ${names(better)}` : '',
    }),
  ];
  if (worse.length > 0) sentences.push(say('clearlySlowerNames', { names: names(worse) }));
  if (stuck.length > 0)
    sentences.push(
      say('heldOneRungDayAfterDay', {
        stuck: commaList(
          stuck.map(
            ({ athlete, decision }) =>
              `${athlete.name} (${decision.limiting ? decision.limiting.gate : say('noSingleGate')})`,
          ),
        ),
      }),
    );
  if (leaning.length > 0)
    sentences.push(
      say('newDifferenceBetweenSidesLeaning', {
        leaning: commaList(leaning.map((line) => `${line.athlete.name} (${sidesCell(line)})`)),
      }),
    );
  if (missing.length > 0)
    sentences.push(
      say('notTimedMoreThanLatelydaysDays', { LATELYDAYS: LATELY_DAYS, names: names(missing) }),
    );
  return sentences;
}
