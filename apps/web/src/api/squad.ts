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

/** What the floor needs to start; on the pattern named, or the one the athlete is working on. */
export function useDrillSetup(
  athleteId: string,
  patternId: string | null,
): UseQueryResult<DrillSetupReply> {
  const { clubId } = useClub();
  return useQuery({
    ...setup(clubId, athleteId, patternId),
    // Another pattern of the same athlete: what stands there stays until it is read.
    placeholderData: (before) => (before?.athlete.id === athleteId ? before : undefined),
  });
}

/** Fetches the same for whoever else is to work. */
export function useFetchSetup(): (
  athleteId: string,
  /** `null`: the one they work on. */
  patternId: string | null,
) => Promise<DrillSetupReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return (athleteId, patternId) => client.query(setup(clubId, athleteId, patternId));
}
