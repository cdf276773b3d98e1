import type { CourtName } from '../floor/index.js';

/** Implements a reach can be measured with; somebody who plays two sports has two reaches. */
export const HELD = ['hand', 'racket', 'paddle', 'bat', 'blade'] as const;
export type Held = (typeof HELD)[number];

/** Reaches by implement, m, from the shoulder to its end, arm stretched. */
export type Reaches = Readonly<Partial<Record<Held, number | null>>>;

/** What is known about somebody's reach, m. */
export interface KnownReach {
  /** With anything held, where it was not measured with what is held on the court. */
  readonly reachM?: number | null;
  readonly reaches?: Reaches | null;
}

const AT: Readonly<Partial<Record<CourtName, Held>>> = {
  ...{ tennis: 'racket', badminton: 'racket', squash: 'racket', tableTennis: 'paddle' },
  ...{ volleyball: 'hand', beachVolleyball: 'hand', basketball: 'hand', handball: 'hand' },
  ...{ baseball: 'bat', cricket: 'bat', fencing: 'blade' },
};

/** What is held on a court; `null` if the court does not determine it, as on a plain rectangle. */
export const heldAt = (court: CourtName): Held | null => AT[court] ?? null;

/** A measured reach; `held` is `null` if it was measured with anything held. */
export interface MeasuredReach {
  readonly reachM: number | null;
  readonly held: Held | null;
}

/**
 * The measured reach of somebody on a court, m: with what is held there where that was measured, else
 * the one for whatever they hold; `null` where neither was.
 * @example measuredReach({ reachM: 1.2, reaches: { paddle: 0.9 } }, 'tableTennis') // { reachM: 0.9, held: 'paddle' }
 */
export function measuredReach(
  { reachM = null, reaches }: KnownReach,
  court: CourtName,
): MeasuredReach {
  const held = heldAt(court);
  const own = held && (reaches?.[held] ?? null);
  return own === null ? { reachM, held: null } : { reachM: own, held };
}
