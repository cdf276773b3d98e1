import type { StandingReply } from '@orthokin/contract';
import { lackWords } from './decision.js';
import { count, dayWords, percent } from './format.js';
import { signed } from './set.js';

const DAY_MS = 24 * 60 * 60 * 1000;
/** Nobody timed for longer than this is in view of the coach. */
const LATELY_DAYS = 10;

const nameList = new Intl.ListFormat('en');
const names = (lines: readonly StandingReply[]): string =>
  nameList.format(lines.map(({ athlete }) => athlete.name));

const isMissing = ({ standing }: StandingReply, nowMs: number): boolean =>
  standing.lastTimedMs === null || nowMs - standing.lastTimedMs > LATELY_DAYS * DAY_MS;

export function changeCell({
  standing,
  claims,
}: Pick<StandingReply, 'standing' | 'claims'>): string {
  const { change, basis } = standing;
  if (!change) return 'nothing alike to compare yet';
  const words = claims.change ? `clearly ${claims.change}` : 'not clear';
  // A unit on a line of its own reads as a word of its own.
  return `${words}, ${signed(change.changeMs)}\u00a0s${basis === 'the standard test' ? '' : ' (weeks)'}`;
}

export function heldCell({ decision, held }: Pick<StandingReply, 'decision' | 'held'>): string {
  const days = held ? `, ${percent(held.passShare)} kept over ${count(held.days, 'day')}` : '';
  if (decision.answer === 'move up') return 'ready to move up';
  if (decision.because === 'top of the ladder') return 'top rung met';
  if (decision.limiting) return `${lackWords(decision.limiting)}${days}`;
  return decision.setIds.length === 0
    ? 'nothing shown on this rung yet'
    : `${count(decision.setIds.length, 'set')} on this rung${days}`;
}

export function sidesCell({
  standing,
  claims,
}: Pick<StandingReply, 'standing' | 'claims'>): string {
  const { lean, leanChange } = standing;
  if (!lean) return 'too few days';
  if (!claims.slowerSide) return 'no clear difference';
  const shown = claims.isNewLean && leanChange ? leanChange.nowPercent : lean.percent;
  return `${claims.isNewLean ? 'new: ' : ''}${claims.slowerSide} ${Math.abs(shown).toFixed(0)} % slower`;
}

export const lastTimedCell = ({ standing }: Pick<StandingReply, 'standing'>): string =>
  standing.lastTimedMs === null
    ? 'not in twelve weeks'
    : dayWords(new Date(standing.lastTimedMs).toISOString());

/** What the coach should know of the squad, the most telling first. */
export function squadSentences(lines: readonly StandingReply[], nowMs = Date.now()): string[] {
  if (lines.length === 0) return ['No athletes in this club yet.'];
  const better = lines.filter(({ claims }) => claims.change === 'faster');
  const worse = lines.filter(({ claims }) => claims.change === 'slower');
  const stuck = lines.filter(({ claims }) => claims.isStuck);
  const leaning = lines.filter(({ claims }) => claims.isNewLean);
  const missing = lines.filter((line) => isMissing(line, nowMs));
  const sentences = [
    `${better.length} of ${count(lines.length, 'athlete')} clearly faster${better.length > 0 && better.length < 4 ? `: ${names(better)}` : ''}.`,
  ];
  if (worse.length > 0) sentences.push(`Clearly slower: ${names(worse)}.`);
  if (stuck.length > 0)
    sentences.push(
      `Held on one rung day after day: ${stuck
        .map(
          ({ athlete, decision }) =>
            `${athlete.name} (${decision.limiting ? decision.limiting.gate : 'no single gate'})`,
        )
        .join(', ')}.`,
    );
  if (leaning.length > 0)
    sentences.push(
      `A new difference between the sides: ${leaning
        .map((line) => `${line.athlete.name} (${sidesCell(line)})`)
        .join(', ')}.`,
    );
  if (missing.length > 0)
    sentences.push(`Not timed for more than ${LATELY_DAYS} days: ${names(missing)}.`);
  return sentences;
}
