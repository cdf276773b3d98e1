import type { LastSetReply, StandingReply } from '@orthokin/contract';
import type { SideDrift, Standing } from '@orthokin/core/stats';
import { lackWords } from '../../parts/decision-words.js';
import { count, dayWords } from '../../parts/format.js';
import { signed } from './set-words.js';

const DAY_MS = 24 * 60 * 60 * 1000;
/** Nobody timed for longer than this is in view of the coach. */
const LATELY_DAYS = 10;
/** So many sets on one rung without moving up are worth a question. */
const STUCK_SETS = 8;

const nameList = new Intl.ListFormat('en');
const names = (lines: readonly StandingReply[]): string =>
  nameList.format(lines.map(({ athlete }) => athlete.name));

export const isStuck = ({ setsOnRung }: StandingReply, last: LastSetReply | null): boolean =>
  setsOnRung >= STUCK_SETS &&
  last !== null &&
  last.decision.answer !== 'move up' &&
  last.decision.because !== 'top of the ladder';

const isMissing = ({ standing }: StandingReply, nowMs: number): boolean =>
  standing.lastTimedMs === null || nowMs - standing.lastTimedMs > LATELY_DAYS * DAY_MS;

export function changeCell({ better, whyNot, basis }: Standing): string {
  if (!better) return whyNot === null ? 'nothing to compare' : 'too early to say';
  const { words, changeMs } = better.change;
  // A unit on a line of its own reads as a word of its own.
  return `${words}, ${signed(changeMs)}\u00a0s${basis === 'the standard test' ? '' : ' (weeks)'}`;
}

export function stuckCell(line: StandingReply, last: LastSetReply | null): string {
  if (!last) return count(line.setsOnRung, 'set');
  const { decision } = last;
  const sets = `${count(line.setsOnRung, 'set')} on this rung`;
  if (decision.answer === 'move up') return 'ready to move up';
  if (decision.because === 'top of the ladder') return 'top rung met';
  return decision.limiting ? `${lackWords(decision.limiting)}; ${sets}` : sets;
}

export function sidesCell(sides: SideDrift | null): string {
  if (!sides) return 'too few sets';
  const { percent, interval, isNew } = sides;
  if (interval.low <= 0 && interval.high >= 0) return 'no clear difference';
  const side = percent > 0 ? 'left' : 'right';
  return `${isNew ? 'new: ' : ''}${side} ${Math.abs(percent).toFixed(0)} % slower`;
}

export const lastTimedCell = ({ lastTimedMs }: Standing): string =>
  lastTimedMs === null ? 'not in twelve weeks' : dayWords(new Date(lastTimedMs).toISOString());

/** What the coach should know of the squad, the most telling first. */
export function squadSentences(
  lines: readonly StandingReply[],
  lastOf: (athleteId: string) => LastSetReply | null,
  nowMs = Date.now(),
): string[] {
  if (lines.length === 0) return ['No athletes in this club yet.'];
  const better = lines.filter(({ standing }) => standing.better?.change.words === 'clearly faster');
  const worse = lines.filter(({ standing }) => standing.better?.change.words.endsWith('slower'));
  const stuck = lines.filter((line) => isStuck(line, lastOf(line.athlete.id)));
  const leaning = lines.filter(({ standing }) => standing.sides?.isNew);
  const missing = lines.filter((line) => isMissing(line, nowMs));
  const sentences = [
    `${better.length} of ${count(lines.length, 'athlete')} clearly faster${better.length > 0 && better.length < 4 ? `: ${names(better)}` : ''}.`,
  ];
  if (worse.length > 0) sentences.push(`Slower: ${names(worse)}.`);
  if (stuck.length > 0)
    sentences.push(
      `Held on one rung for ${STUCK_SETS} sets or more: ${stuck
        .map((line) => {
          const limiting = lastOf(line.athlete.id)?.decision.limiting;
          return `${line.athlete.name} (${limiting ? limiting.gate : 'no single gate'})`;
        })
        .join(', ')}.`,
    );
  if (leaning.length > 0)
    sentences.push(
      `A new difference between the sides: ${leaning
        .map(({ athlete, standing }) => `${athlete.name} (${sidesCell(standing.sides)})`)
        .join(', ')}.`,
    );
  if (missing.length > 0)
    sentences.push(`Not timed for more than ${LATELY_DAYS} days: ${names(missing)}.`);
  return sentences;
}
