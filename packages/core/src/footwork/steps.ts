import { distance, midpoint, otherSide, type Point, type Side } from '../floor/index.js';
import { loadIndex, standings, type Leg, type Pattern, type Placement } from '../pattern/index.js';

type OnStance = Pick<Pattern, 'stance'>;

/** A placement with what it follows. */
export interface Step {
  /** Its index among the leg's placements. */
  readonly index: number;
  readonly placement: Placement;
  /**
   * Step length, metres: from where the other foot stands to where this one lands (as in the study
   * of gait, the distance between successive contacts of opposite feet).
   */
  readonly lengthM: number;
  /** From where this foot last stood, m. */
  readonly swingM: number;
  /** Time since this foot's last landing, ms; `null` if it stood in the stance. */
  readonly sinceOwnMs: number | null;
  /** Time since the previous landing of either foot, ms; `null` for the first. */
  readonly intervalMs: number | null;
}

/** Every placement of a leg as a step. */
export function stepsOf({ stance }: OnStance, { placements }: Pick<Leg, 'placements'>): Step[] {
  const stood = standings(stance, placements);
  const landedMs: Partial<Record<Side, number>> = {};
  return placements.map((placement, index) => {
    const { foot, at, atMs } = placement;
    const before = stood[index - 1] ?? stance;
    const ownMs = landedMs[foot];
    landedMs[foot] = atMs;
    return {
      index,
      placement,
      lengthM: distance(before[otherSide(foot)].at, at),
      swingM: distance(before[foot].at, at),
      sinceOwnMs: ownMs === undefined ? null : atMs - ownMs,
      intervalMs: index === 0 ? null : atMs - (placements[index - 1]?.atMs ?? atMs),
    };
  });
}

/** Landings this close together count as simultaneous, ms. */
export const AT_ONCE_MS = 30;

/** The midpoint between the feet after each landing, beginning in the stance. */
export function midpointPath({ stance }: OnStance, placements: readonly Placement[]): Point[] {
  const path = [midpoint(stance.left.at, stance.right.at)];
  for (const [i, { left, right }] of standings(stance, placements).entries()) {
    const [landing, next] = [placements[i], placements[i + 1]];
    // A hop is one landing; nobody ever stood at the midpoint between its two feet's landings.
    const isHalf =
      landing && next && next.atMs - landing.atMs < AT_ONCE_MS && next.foot !== landing.foot;
    if (!isHalf) path.push(midpoint(left.at, right.at));
  }
  return path;
}

/** A leg's placements up to arrival, and those of the way home. */
export function outAndBack(leg: Pick<Leg, 'placements'>): {
  out: readonly Placement[];
  back: readonly Placement[];
} {
  const { placements } = leg;
  const arrival = placements[loadIndex(leg)]?.atMs ?? Infinity;
  return {
    // Both feet of a hop arrive together.
    out: placements.filter(
      ({ phase, atMs }) => atMs < arrival + AT_ONCE_MS && phase !== 'recovery',
    ),
    back: placements.filter(({ phase }) => phase === 'recovery'),
  };
}

/** The midpoint's paths out to the load, and back home. */
export function pathsOf(
  pattern: OnStance,
  leg: Pick<Leg, 'placements'>,
): { out: Point[]; back: Point[] } {
  const { out, back } = outAndBack(leg);
  const whole = midpointPath(pattern, leg.placements);
  const home = midpointPath(pattern, leg.placements.slice(0, leg.placements.length - back.length));
  return { out: midpointPath(pattern, out), back: whole.slice(home.length - 1) };
}

/** Landing times on the way out, including the loading foot, ms. */
export const outTimes = (leg: Pick<Leg, 'placements'>): number[] =>
  leg.placements
    .slice(0, loadIndex(leg) + 1)
    .filter(({ phase }) => phase === 'travel' || phase === 'load')
    .map(({ atMs }) => atMs);
