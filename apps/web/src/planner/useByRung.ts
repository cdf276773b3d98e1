import { useSquad } from '../api/squad.js';

/** Sorts athletes by rung, lowest first. */
export function useByRung(): (athleteIds: readonly string[]) => string[] {
  const { data: lines = [] } = useSquad();
  const rungs = new Map(lines.map(({ athlete, rung }) => [athlete.id, rung]));
  const rungOf = (id: string): number => rungs.get(id) ?? 0;
  return (athleteIds) => [...athleteIds].sort((one, other) => rungOf(one) - rungOf(other));
}
