/** Bounds of the number of teams. */
export const TEAMS = [2, 6] as const;

/** A team with its points. */
export interface Team {
  readonly athleteIds: readonly string[];
  readonly points: number;
}

/** Deals athletes to teams in snake order, so that a list sorted by level gives balanced teams. */
export function teamsOf(athleteIds: readonly string[], count: number): Team[] {
  const teams = Array.from({ length: count }, (): string[] => []);
  athleteIds.forEach((id, i) => {
    const [way, place] = [Math.floor(i / count) % 2, i % count];
    teams[way === 0 ? place : count - 1 - place]?.push(id);
  });
  return teams.map((ids) => ({ athleteIds: ids, points: 0 }));
}
