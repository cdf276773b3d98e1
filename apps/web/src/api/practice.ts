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

/** Recent practice without the coach, latest day first. */
export function usePractice(): UseQueryResult<HomePracticeReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.practice(clubId),
    queryFn: () => call(ROUTES.homePractice, { clubId }),
    select: latestFirst,
  });
}

/** Writes or withdraws an entry; it shows at once, and is sent when possible. */
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
    // An unsent entry is unknown to the server, so the list is not refetched, only what is derived from it.
    onSuccess: () => client.invalidateQueries({ queryKey: keys.loads(clubId) }),
    onError: () => client.invalidateQueries({ queryKey }),
  });
}
