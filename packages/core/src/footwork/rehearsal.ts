import {
  arrivalMs,
  homeMs,
  legOf,
  POSITION_NAMES,
  positionOf,
  targetOf,
  type Leg,
  type Pattern,
  type PositionName,
} from '../pattern/index.js';
import { playSpan, type Span } from './play.js';

/** How a pattern is rehearsed, from bare to whole. */
export const MANNERS = ['feet only', 'with the arm', 'with the implement'] as const;
export type Manner = (typeof MANNERS)[number];

/** The slowest and fastest walk, as a share of the pattern's own pace. */
export const SLOWEST_WALK = 0.1;
/** Fastest walk-through: the pattern's own tempo. */
export const FASTEST_WALK = 1;
/** Longest hold of a position, ms. */
export const LONGEST_HOLD_MS = 20_000;

/** How a pattern is rehearsed: no clock to beat. */
export interface RehearsalSettings {
  readonly manners: readonly Manner[];
  /** Share of the pattern's own pace at which the athlete goes from hold to hold. */
  readonly pace: number;
  readonly holdMs: number;
  /** After the positions of a leg, all of it once without a stop. */
  readonly through: boolean;
}

/** Slowly, feet only, a breath at each position. */
export const USUAL_REHEARSAL: RehearsalSettings = {
  manners: ['feet only'],
  pace: 0.25,
  holdMs: 4000,
  through: true,
};

/** One call of a rehearsal: go there, then hold. `through` goes all the way without a stop. */
export interface RehearsalCall {
  /** Letter of the leg's target. */
  readonly target: string;
  readonly manner: Manner;
  readonly call: PositionName | 'through';
  /** The stretch of the leg's own clock that is walked. */
  readonly leg: Span;
  readonly walkMs: number;
  readonly holdMs: number;
}

/** When a leg is in a position, on its own clock; `null` when the position is missing. */
function momentOf(pattern: Pattern, leg: Leg, name: PositionName): number | null {
  if (positionOf(pattern, leg, name) === null) return null;
  switch (name) {
    case 'stance':
      return playSpan(leg).fromMs;
    case 'split':
      return leg.placements.findLast(({ phase }) => phase === 'split')?.atMs ?? null;
    case 'load':
      return arrivalMs(leg);
    case 'action':
      return leg.actionMs;
    case 'recovery':
      return homeMs(leg);
  }
}

function callsOf(pattern: Pattern, leg: Leg, manner: Manner, settings: RehearsalSettings) {
  const { pace, holdMs, through } = settings;
  const walk = (call: RehearsalCall['call'], fromMs: number, toMs: number): RehearsalCall => ({
    target: leg.target,
    manner,
    call,
    leg: { fromMs, toMs },
    walkMs: (toMs - fromMs) / pace,
    holdMs,
  });
  const calls: RehearsalCall[] = [];
  let at = playSpan(leg).fromMs;
  for (const name of POSITION_NAMES) {
    const moment = momentOf(pattern, leg, name);
    // A pattern may be called before it is whole: what it lacks is passed over.
    if (moment === null || moment < at) continue;
    calls.push(walk(name, at, moment));
    at = moment;
  }
  const { fromMs } = playSpan(leg);
  return through ? [...calls, walk('through', fromMs, homeMs(leg) ?? leg.actionMs)] : calls;
}

/** Letters with the sides in turn: one to the left, one to the right; the middle ones after those. */
export function sidesInTurn(
  pattern: Pick<Pattern, 'targets'>,
  letters: readonly string[],
): string[] {
  const across = (letter: string) => targetOf(pattern, letter)?.at.x ?? 0;
  const left = letters.filter((letter) => across(letter) < 0);
  const right = letters.filter((letter) => across(letter) > 0);
  const middle = letters.filter((letter) => across(letter) === 0);
  const longer = Math.max(left.length, right.length);
  const turns = Array.from({ length: longer }, (_, i) => [left[i], right[i]]);
  return [...turns.flat().filter((letter) => letter !== undefined), ...middle];
}

/**
 * The calls of a rehearsal: every leg position by position at the chosen pace with holds, the
 * sides in turn, all of it once for each manner. Targets without a leg are passed over.
 */
export const rehearsalOf = (
  pattern: Pattern,
  letters: readonly string[],
  settings: RehearsalSettings,
): RehearsalCall[] =>
  settings.manners.flatMap((manner) =>
    sidesInTurn(pattern, letters).flatMap((letter) => {
      const leg = legOf(pattern, letter);
      return leg ? callsOf(pattern, leg, manner, settings) : [];
    }),
  );

/** How long the calls from one on will take in all, ms. */
export const rehearsalMs = (calls: readonly RehearsalCall[]): number =>
  calls.reduce((sum, { walkMs, holdMs }) => sum + walkMs + holdMs, 0);
