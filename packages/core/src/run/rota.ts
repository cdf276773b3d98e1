import { restBefore, rotaOf, type Turn } from '../drill/index.js';

/** Several sets after one another: of one athlete, or of a few who change every set. */
export interface Rota {
  readonly turns: readonly Turn[];
  /** Which turn is on, or next. */
  readonly place: number;
  readonly restRatio: number;
  /** Last work of each, in the order it ended; epoch ms. */
  readonly worked: readonly {
    readonly athleteId: string;
    readonly workMs: number;
    readonly endedAt: number;
  }[];
}

/** Most athletes that take turns on one floor. */
export const MOST_IN_ROTA = 8;

/** A rota at its first turn. */
export const beginRota = (
  athleteIds: readonly string[],
  sets: number,
  restRatio: number,
): Rota => ({ turns: rotaOf(athleteIds, sets), place: 0, restRatio, worked: [] });

/** Whose turn it is; none when all are done. */
export const turnOf = (rota: Rota): Turn | undefined => rota.turns[rota.place];

/** The turn that is on has been worked, or is passed over when no work is given. */
export const nextTurn = (rota: Rota, workMs: number | null, endedAt: number): Rota => {
  const athleteId = turnOf(rota)?.athleteId;
  const worked =
    workMs === null || athleteId === undefined
      ? rota.worked
      : [...rota.worked, { athleteId, workMs, endedAt }];
  return { ...rota, place: rota.place + 1, worked };
};

/** When the next set may begin, epoch ms: whoever is next must have rested. */
export function restEndsAt(rota: Rota, now: number): number {
  const next = turnOf(rota)?.athleteId;
  const own = rota.worked.findLast(({ athleteId }) => athleteId === next);
  return now + restBefore(own?.workMs ?? null, rota.restRatio, own ? now - own.endedAt : 0);
}
