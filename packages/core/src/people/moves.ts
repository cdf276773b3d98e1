import { distance, heading, otherSide, turn, type Side } from '../floor/index.js';
import { detourRatio, MAX_DETOUR, pathsOf } from '../footwork/index.js';
import { baseWidth, standings, type Placement, type Standing } from '../pattern/index.js';

/** Movements that restrictions and checks are about. */
export const MOVES = [
  'split-step',
  'hop',
  'run',
  'side-step',
  'moving back',
  'turn',
  'lunge',
  'stop on one leg',
  'bent path',
] as const;
/**
 * A move of the body. Turn: the body turns over a leg that stays on the floor (turn, crossover and drop
 * step, or feet more than 60° apart). Bent path: a way that is no straight line.
 */
export type Move = (typeof MOVES)[number];

/** Movements that load one leg more than the other. */
export const SIDED_MOVES: readonly Move[] = ['hop', 'turn', 'lunge', 'stop on one leg'];

/** A movement asked for, and the leg that bears it; `null` for both. */
export interface Demand {
  readonly move: Move;
  readonly leg: Side | null;
}

/** Feet that point farther apart than this mean a turn over the foot that stays, degrees. */
const TURN_DEG = 60;
/** A foot that swings more than this off its own heading goes sideways; beyond the second, back. */
const SIDEWAYS_DEG = 60;
const BACK_DEG = 120;
/** A shorter swing, as a share of the stance's base width, is only an adjusting of the feet. */
const LEAST_SWING = 0.5;

/** By the kind of step alone. */
function byKind({ kind, foot, phase }: Placement): Demand[] {
  const stays = otherSide(foot);
  const stops: Demand[] = phase === 'load' ? [{ move: 'stop on one leg', leg: foot }] : [];
  switch (kind) {
    case 'split':
      return [{ move: 'split-step', leg: null }];
    case 'hop':
      return [{ move: 'hop', leg: foot }, ...stops];
    case 'run':
      return [{ move: 'run', leg: null }, ...stops];
    case 'shuffle':
      return [{ move: 'side-step', leg: null }, ...stops];
    case 'turn':
    case 'crossover':
      return [{ move: 'turn', leg: stays }, ...stops];
    case 'drop':
      return [{ move: 'turn', leg: stays }, { move: 'moving back', leg: null }, ...stops];
    case 'lunge':
      return [{ move: 'lunge', leg: foot }, ...stops];
    case 'push':
    case 'plant':
      return stops;
  }
}

/** By how the foot is carried and set down, whatever the step is called. */
function byPlace(placement: Placement, before: Standing, stanceM: number): Demand[] {
  const { foot, at, headingDeg } = placement;
  const stays = otherSide(foot);
  const demands: Demand[] = [];
  if (Math.abs(turn(before[stays].headingDeg, headingDeg)) > TURN_DEG)
    demands.push({ move: 'turn', leg: stays });
  const own = before[foot];
  // A foot that turns on its way goes neither sideways nor back: the turn is what is asked.
  const turns = Math.abs(turn(own.headingDeg, headingDeg)) > TURN_DEG;
  if (!turns && distance(own.at, at) > LEAST_SWING * stanceM) {
    const off = Math.abs(turn(headingDeg, heading(own.at, at)));
    if (off > BACK_DEG) demands.push({ move: 'moving back', leg: null });
    else if (off > SIDEWAYS_DEG) demands.push({ move: 'side-step', leg: null });
  }
  return demands;
}

/** Placements as ways from ready to ready again: one after the other where legs were joined. */
function rounds(placements: readonly Placement[]): Placement[][] {
  const made: Placement[][] = [];
  for (const [i, placement] of placements.entries()) {
    const begins = placement.phase !== 'recovery' && placements[i - 1]?.phase === 'recovery';
    if (begins || i === 0) made.push([]);
    made.at(-1)?.push(placement);
  }
  return made;
}

const isBent = (stance: Standing, placements: readonly Placement[]): boolean => {
  const { out, back } = pathsOf({ stance }, { placements });
  return [out, back].some((path) => (detourRatio(path) ?? 1) > MAX_DETOUR);
};

const ORDER = new Map(MOVES.map((move, i) => [move, i]));
const rank = ({ move, leg }: Demand): number =>
  3 * (ORDER.get(move) ?? 0) + (leg === null ? 0 : leg === 'left' ? 1 : 2);

/**
 * What placements ask of the body, each once, in the order of `MOVES`. Mirroring changes the legs,
 * scaling changes nothing, and legs that were joined ask all that each of them asked.
 * @param stance where it begins
 * @param placements of a leg, or of several one after the other, in order of landing
 */
export function demandsOf(stance: Standing, placements: readonly Placement[]): Demand[] {
  const stood = standings(stance, placements);
  const stanceM = baseWidth(stance);
  const all = placements.flatMap((placement, i) => [
    ...byKind(placement),
    ...byPlace(placement, stood[i - 1] ?? stance, stanceM),
  ]);
  if (rounds(placements).some((round) => isBent(stance, round)))
    all.push({ move: 'bent path', leg: null });
  return [...new Map(all.map((demand) => [rank(demand), demand])).entries()]
    .sort(([a], [b]) => a - b)
    .map(([, demand]) => demand);
}
