import { restBefore, rotaOf, type Turn } from '../drill/index.js';

/** Several sets in a row, of one athlete or of a few who alternate. */
export interface Rota {
  readonly turns: readonly Turn[];
  /** Index of the current or next turn. */
  readonly place: number;
  readonly restRatio: number;
  /** Each athlete's last work, in the order it ended; epoch ms. */
  readonly worked: readonly {
    readonly athleteId: string;
    readonly workMs: number;
    readonly endedAt: number;
  }[];
}

/** Most athletes in a rota. */
export const MOST_IN_ROTA = 8;

/** A rota at its first turn. */
export const beginRota = (
  athleteIds: readonly string[],
  sets: number,
  restRatio: number,
): Rota => ({ turns: rotaOf(athleteIds, sets), place: 0, restRatio, worked: [] });

/** The current turn; `undefined` at the end. */
export const turnOf = (rota: Rota): Turn | undefined => rota.turns[rota.place];

/** The rota after the current turn; without `workMs` the turn was skipped. */
export const nextTurn = (rota: Rota, workMs: number | null, endedAt: number): Rota => {
  const athleteId = turnOf(rota)?.athleteId;
  const worked =
    workMs === null || athleteId === undefined
      ? rota.worked
      : [...rota.worked, { athleteId, workMs, endedAt }];
  return { ...rota, place: rota.place + 1, worked };
};

/** When the next set may begin, epoch ms: once the next athlete has rested. */
export function restEndsAt(rota: Rota, now: number): number {
  const next = turnOf(rota)?.athleteId;
  const own = rota.worked.findLast(({ athleteId }) => athleteId === next);
  return now + restBefore(own?.workMs ?? null, rota.restRatio, own ? now - own.endedAt : 0);
}
