import type { PlacedBlock, Round } from '@orthokin/core/plan';

/** Where somebody is in a round: at a station, helping, or resting; and the how-manieth there. */
export interface Spot {
  readonly lane: number | 'helps' | 'rests';
  readonly place: number;
}

/** Where an athlete is in a round; `null` for whoever is not in it. */
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

/** An athlete's way through the stations of a block. */
export interface Thread {
  readonly athleteId: string;
  readonly spots: readonly (Spot & { readonly fromS: number; readonly toS: number })[];
}

/** The ways of all athletes through a block, s from its start. */
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

/** How many are side by side in the fullest round, helping and resting. */
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
