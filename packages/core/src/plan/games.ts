/** How pairs change from round to round. */
export const GAME_WAYS = ['up a court, down a court', 'winner stays'] as const;
export type GameWay = (typeof GAME_WAYS)[number];

/** Most courts, or places, that are played on at once. */
export const MOST_COURTS = 8;

/** Who plays whom; the first court is the top one. */
export interface GameRound {
  readonly courts: readonly (readonly [string, string])[];
  /** Who waits, whoever is on next first. */
  readonly waits: readonly string[];
}

/** The first round: in the order given, two a court; whoever is left over waits. */
export function firstRound(athleteIds: readonly string[], courts: number): GameRound {
  const full = Math.max(0, Math.min(courts, MOST_COURTS, Math.floor(athleteIds.length / 2)));
  return {
    courts: Array.from({ length: full }, (_, court) => pairAt(athleteIds, 2 * court)),
    waits: athleteIds.slice(2 * full),
  };
}

const pairAt = (ids: readonly string[], at: number): [string, string] => [
  ids[at] ?? '',
  ids[at + 1] ?? '',
];

/**
 * The round after. Up a court, down a court: whoever won goes up one, whoever lost down one; the last
 * court's loser waits where anybody does. Winner stays: whoever lost waits; where nobody waits, losers
 * go on to the next court, so that pairs change.
 * @param winners one of each court's two, in the order of the courts
 */
export function nextRound(
  { courts, waits }: GameRound,
  winners: readonly string[],
  way: GameWay,
): GameRound {
  const won = courts.map(([one, other], i) => (winners[i] === other ? other : one));
  const lost = courts.map(([one, other], i) => (won[i] === one ? other : one));
  if (courts.length === 0) return { courts, waits };
  if (way === 'winner stays') {
    const queue =
      waits.length > 0 ? [...waits, ...lost] : [...lost.slice(-1), ...lost.slice(0, -1)];
    return {
      courts: won.map((id, i) => [id, queue[i] ?? '']),
      waits: queue.slice(courts.length),
    };
  }
  const last = courts.length - 1;
  // The top court's winner stays there; so does the last one's loser, or whoever waited longest.
  const [comesOn = lost[last] ?? '', ...others] = waits;
  return {
    courts: courts.map((_, i) => [
      (i === 0 ? won[0] : lost[i - 1]) ?? '',
      (i === last ? comesOn : won[i + 1]) ?? '',
    ]),
    waits: waits.length > 0 ? [...others, lost[last] ?? ''] : [],
  };
}

/** Rounds won, of everybody who has played, most first. */
export function winsOf(
  rounds: readonly { readonly round: GameRound; readonly winners: readonly string[] }[],
): { readonly athleteId: string; readonly wins: number }[] {
  const wins = new Map<string, number>();
  for (const { round, winners } of rounds)
    for (const id of round.courts.flat())
      wins.set(id, (wins.get(id) ?? 0) + (winners.includes(id) ? 1 : 0));
  return [...wins]
    .map(([athleteId, count]) => ({ athleteId, wins: count }))
    .sort((one, other) => other.wins - one.wins);
}
