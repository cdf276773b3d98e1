import type {
  AcceptBody,
  InvitedReply,
  MeReply,
  OwnerBody,
  PasswordBody,
  SignInBody,
} from '@orthokin/contract';
import { isFor, ROUTES, type MayAsk } from '@orthokin/contract/routes';
import type { Role } from '@orthokin/core/people';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { remember } from '../device/preferences.js';
import { useRemembered } from '../device/useRemembered.js';
import { call, Refused } from './client.js';
import { useClub } from './club.js';
import { keptIsOf } from './kept.js';
import { keys } from './keys.js';
import { answerByPasskey } from './passkeys.js';

/** Who the device is signed in as, and what it may open without. */
export const useMe = (): UseQueryResult<MeReply> =>
  useQuery({ queryKey: keys.me, queryFn: () => call(ROUTES.me, {}) });

/** Who looks at this page. */
interface Who {
  /** To the club; whoever sits at the machine of one without an owner is its owner. */
  readonly role: Role;
  /** Of their account; `null` where nobody has signed in with one. */
  readonly name: string | null;
}

export const WhoContext = createContext<Who>({ role: 'owner', name: null });

export const useRole = (): Role => useContext(WhoContext).role;

/**
 * Under which name something is said: the account's, or the one that was last typed on this device.
 * `type` is `null` where there is nothing to type.
 */
export function useOwnName(): [name: string, type: ((name: string) => void) | null] {
  const { name } = useContext(WhoContext);
  const [typed, type] = useRemembered('coach-name', '');
  return name === null ? [typed, type] : [name, null];
}

/** Whether whoever looks at this page may send a request: what they may not do need not be offered. */
export const useMay = (route: { readonly may: MayAsk }): boolean => isFor(route, useRole());

/** The device is somebody else now: what was read for another is not theirs to see. */
async function become(client: QueryClient, me: MeReply): Promise<void> {
  await client.cancelQueries();
  client.setQueryData(keys.me, me);
  await client.resetQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.me[0] });
}

/** The page that asks is another's after: what comes next must not wait for it (`mutateAsync`). */
function useBecoming<Said>(
  ask: (said: Said) => Promise<MeReply>,
): UseMutationResult<MeReply, Error, Said> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ask,
    onSuccess: async (me) => {
      await keptIsOf(me);
      if (me.signedIn) remember('club', me.signedIn.clubId);
      return become(client, me);
    },
  });
}

export const useSignIn = () => useBecoming((body: SignInBody) => call(ROUTES.signIn, {}, { body }));

/** Signs in by a key that this device keeps. */
export const usePasskeySignIn = () => useBecoming(() => answerByPasskey());

export const useSignOut = () => useBecoming(() => call(ROUTES.signOut, {}));

export const useTryRole = () =>
  useBecoming((role: Role) => call(ROUTES.tryRole, {}, { body: { role } }));

export const useChangePassword = () =>
  useBecoming((body: PasswordBody) => call(ROUTES.changePassword, {}, { body }));

export const useAccept = () => useBecoming((body: AcceptBody) => call(ROUTES.accept, {}, { body }));

export function useMakeOwner(): UseMutationResult<MeReply, Error, OwnerBody> {
  const { clubId } = useClub();
  return useBecoming((body) => call(ROUTES.firstOwner, { clubId }, { body }));
}

export function useBeFloorDevice(): UseMutationResult<MeReply, Error, string> {
  const { clubId } = useClub();
  return useBecoming((name) => call(ROUTES.beFloorDevice, { clubId }, { body: { name } }));
}

/** What the link that opened this page is for. */
export const useInvited = (token: string): UseQueryResult<InvitedReply> =>
  useQuery({
    queryKey: ['invited', token],
    queryFn: () => call(ROUTES.invited, {}, { body: { token } }),
    // Asked again after it was taken up it would be used up.
    staleTime: Infinity,
  });

/** Whether an answer says that nobody is signed in any more. */
export const isSignedOut = (error: unknown): boolean =>
  error instanceof Refused && error.status === 401;
