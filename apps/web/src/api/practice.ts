import type { HomePracticeReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useOutbox } from '../device/outbox-context.js';
import { showAtOnce } from './at-once.js';
import { call } from './client.js';
import { useClub } from './club.js';
import { keys } from './keys.js';
import { sendOrLater } from './or-later.js';

const latestFirst = (all: HomePracticeReply[]): HomePracticeReply[] =>
  [...all].sort((one, other) => other.day.localeCompare(one.day));

/** What was practised without the coach lately, the latest day first. */
export function usePractice(): UseQueryResult<HomePracticeReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.practice(clubId),
    queryFn: () => call(ROUTES.homePractice, { clubId }),
    select: latestFirst,
  });
}

/** Writes it down, or takes it back; it stands here at once and is sent when it can be. */
export function useWritePractice(): UseMutationResult<void, Error, HomePracticeReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  const queryKey = keys.practice(clubId);
  return useMutation({
    mutationFn: async ({ id, ...body }) => {
      const params = { clubId, practiceId: id };
      await sendOrLater(outbox, `practice:${id}`, ROUTES.writeHomePractice, params, body);
    },
    onMutate: (practice) => showAtOnce(client, queryKey, practice),
    // What waits on this device the server does not know yet: it is asked only for what follows from it.
    onSuccess: () => client.invalidateQueries({ queryKey: keys.loads(clubId) }),
    onError: () => client.invalidateQueries({ queryKey }),
  });
}
