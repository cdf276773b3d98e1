import type { DrillSetupReply, SquadLineReply, StandingReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { call } from './client.js';
import { useClub } from './club.js';
import { keys } from './keys.js';

export function useSquad(): UseQueryResult<SquadLineReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.squad(clubId),
    queryFn: () => call(ROUTES.squad, { clubId }),
  });
}

export function useStandings(): UseQueryResult<StandingReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.standings(clubId),
    queryFn: () => call(ROUTES.standings, { clubId }),
  });
}

const setup = (clubId: string, athleteId: string, patternId: string | null) => ({
  queryKey: keys.setup(clubId, athleteId, patternId),
  queryFn: () =>
    call(ROUTES.drillSetup, { clubId, athleteId }, { query: patternId ? { patternId } : {} }),
});

/** A drill's set-up for an athlete, on the given pattern or the one they are working on. */
export function useDrillSetup(
  athleteId: string,
  patternId: string | null,
): UseQueryResult<DrillSetupReply> {
  const { clubId } = useClub();
  return useQuery({
    ...setup(clubId, athleteId, patternId),
    // While another pattern of the same athlete loads, the previous one stays.
    placeholderData: (before) => (before?.athlete.id === athleteId ? before : undefined),
  });
}

/** Returns a function that loads others' set-ups. */
export function useFetchSetup(): (
  athleteId: string,
  /** `null`: the pattern they are working on. */
  patternId: string | null,
) => Promise<DrillSetupReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return (athleteId, patternId) => client.query(setup(clubId, athleteId, patternId));
}
