/** Fewest and most teams of a game. */
export const TEAMS = [2, 6] as const;

/** A team and what it has made. */
export interface Team {
  readonly athleteIds: readonly string[];
  readonly points: number;
}

/**
 * Athletes over teams, one after another and back again, so that a list sorted by how far each is makes
 * teams that are alike.
 */
export function teamsOf(athleteIds: readonly string[], count: number): Team[] {
  const teams = Array.from({ length: count }, (): string[] => []);
  athleteIds.forEach((id, i) => {
    const [way, place] = [Math.floor(i / count) % 2, i % count];
    teams[way === 0 ? place : count - 1 - place]?.push(id);
  });
  return teams.map((ids) => ({ athleteIds: ids, points: 0 }));
}
