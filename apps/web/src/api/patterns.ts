import type { PatternBody, PatternLineReply, PatternReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { call, NotThere } from './client.js';
import { useClub } from './club.js';
import { afterPattern, keys } from './keys.js';

export function useLibrary(): UseQueryResult<PatternLineReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.library(clubId),
    queryFn: () => call(ROUTES.library, { clubId }),
  });
}

/** The newest version of a pattern; `null` when the club has none of this id, or it is no id. */
export function usePattern(patternId: string, enabled = true): UseQueryResult<PatternReply | null> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.pattern(clubId, patternId),
    queryFn: async () => {
      try {
        return await call(ROUTES.pattern, { clubId, patternId });
      } catch (error) {
        if (error instanceof NotThere) return null;
        throw error;
      }
    },
    // Never refetched in the background: the editor's base must not change.
    staleTime: Infinity,
    enabled,
  });
}

/** The version others saved last, for comparing with a pattern being edited. */
export function useNewestPattern(patternId: string): UseQueryResult<PatternReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.newestPattern(clubId, patternId),
    queryFn: () => call(ROUTES.pattern, { clubId, patternId }),
    gcTime: 0,
  });
}

interface Saving {
  readonly patternId: string;
  /** `afterNewest`: follows whatever version others have saved meanwhile. */
  readonly version: number | 'afterNewest';
  readonly body: PatternBody;
}

/** Saves a pattern as its next version. */
export function useSavePattern(): UseMutationResult<PatternReply, Error, Saving> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ patternId, version, body }) => {
      const next =
        version === 'afterNewest'
          ? (await call(ROUTES.pattern, { clubId, patternId })).version + 1
          : version;
      return call(ROUTES.savePattern, { clubId, patternId, version: next }, { body });
    },
    onSuccess: (saved) => {
      client.setQueryData(keys.pattern(clubId, saved.id), saved);
      void afterPattern(client, clubId);
    },
  });
}

/** Archives a pattern, or restores it. */
export function useArchive(): UseMutationResult<
  unknown,
  Error,
  { patternId: string; archived: boolean }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ patternId, archived }) =>
      call(ROUTES.archivePattern, { clubId, patternId }, { body: { archived } }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.library(clubId) }),
  });
}
