import type { PlacedBlock, Round } from '@orthokin/core/plan';

/** Somebody's place in a round: at a station, helping or resting, and their index among those there. */
export interface Spot {
  readonly lane: number | 'helps' | 'rests';
  readonly place: number;
}

/** An athlete's place in a round; `null` if they do not take part. */
export function spotIn({ stations, rests }: Round, athleteId: string): Spot | null {
  const works = stations.findIndex((turn) => turn?.works === athleteId);
  if (works >= 0) return { lane: works, place: 0 };
  const helps = stations
    .flatMap((turn) => turn?.helps ?? [])
    .findIndex((one) => one.athleteId === athleteId);
  if (helps >= 0) return { lane: 'helps', place: helps };
  const place = rests.indexOf(athleteId);
  return place < 0 ? null : { lane: 'rests', place };
}

/** An athlete's way through a block's stations. */
export interface Thread {
  readonly athleteId: string;
  readonly spots: readonly (Spot & { readonly fromS: number; readonly toS: number })[];
}

/** All athletes' ways through a block, s from its start. */
export const threadsOf = (
  { rounds }: Pick<PlacedBlock, 'rounds'>,
  athleteIds: readonly string[],
): Thread[] =>
  athleteIds.map((athleteId) => ({
    athleteId,
    spots: rounds.flatMap((round) => {
      const spot = spotIn(round, athleteId);
      return spot ? [{ ...spot, fromS: round.fromS, toS: round.toS }] : [];
    }),
  }));

/** The most people side by side in any round, helping and resting. */
export function fullest(rounds: readonly Round[]): {
  readonly stations: number;
  readonly helps: number;
  readonly rests: number;
} {
  const most = (count: (round: Round) => number) => Math.max(0, ...rounds.map(count));
  return {
    stations: most(({ stations }) => stations.length),
    helps: most(({ stations }) => stations.flatMap((turn) => turn?.helps ?? []).length),
    rests: most(({ rests }) => rests.length),
  };
}
