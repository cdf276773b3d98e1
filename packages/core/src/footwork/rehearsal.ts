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

/** How a pattern is rehearsed, from the feet alone to the whole. */
export const MANNERS = ['feet only', 'with the arm', 'with the implement'] as const;
export type Manner = (typeof MANNERS)[number];

/** Slowest and fastest pace, as a share of the pattern's own. */
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
  /** Whether to go through the whole leg once after its positions. */
  readonly through: boolean;
}

/** Default: slowly, feet only, with short holds. */
export const USUAL_REHEARSAL: RehearsalSettings = {
  manners: ['feet only'],
  pace: 0.25,
  holdMs: 4000,
  through: true,
};

/** A call of a rehearsal: go to a position, then hold; `through` goes all the way without a hold. */
export interface RehearsalCall {
  /** Letter of the leg's target. */
  readonly target: string;
  readonly manner: Manner;
  readonly call: PositionName | 'through';
  /** The part of the leg's clock that is walked. */
  readonly leg: Span;
  readonly walkMs: number;
  readonly holdMs: number;
}

/** The time of a position in a leg; `null` if the leg does not have it. */
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
    // An incomplete pattern can be rehearsed; missing positions are skipped.
    if (moment === null || moment < at) continue;
    calls.push(walk(name, at, moment));
    at = moment;
  }
  const { fromMs } = playSpan(leg);
  return through ? [...calls, walk('through', fromMs, homeMs(leg) ?? leg.actionMs)] : calls;
}

/** Letters alternating between left and right, central targets last. */
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
 * A rehearsal's calls: every leg position by position with holds, alternating sides, once for each manner. Targets
 * without a leg are left out.
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
