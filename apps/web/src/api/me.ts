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

/** Who the device is signed in as, and what it may open otherwise. */
export const useMe = (): UseQueryResult<MeReply> =>
  useQuery({ queryKey: keys.me, queryFn: () => call(ROUTES.me, {}) });

/** The person using this page. */
interface Who {
  /** In the open club; at the server's own machine the owner of a club that has none. */
  readonly role: Role;
  /** The account's name; `null` if nobody is signed in with one. */
  readonly name: string | null;
}

export const WhoContext = createContext<Who>({ role: 'owner', name: null });

export const useRole = (): Role => useContext(WhoContext).role;

/**
 * The name under which something is said: the account's, or else the last one typed on this device; `type` is `null`
 * for an account.
 */
export function useOwnName(): [name: string, type: ((name: string) => void) | null] {
  const { name } = useContext(WhoContext);
  const [typed, type] = useRemembered('coach-name', '');
  return name === null ? [typed, type] : [name, null];
}

/** Whether the current role may send a request, so that pages do not offer what is not allowed. */
export const useMay = (route: { readonly may: MayAsk }): boolean => isFor(route, useRole());

/** The device is signed in as somebody else: everything cached belongs to the previous person. */
async function become(client: QueryClient, me: MeReply): Promise<void> {
  await client.cancelQueries();
  client.setQueryData(keys.me, me);
  await client.resetQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.me[0] });
}

/** Signing in replaces the page, so its callbacks would not run: await the mutation instead (`mutateAsync`). */
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

/** Signs in with a passkey of this device. */
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

/** What the invitation behind this page's link is for. */
export const useInvited = (token: string): UseQueryResult<InvitedReply> =>
  useQuery({
    queryKey: ['invited', token],
    queryFn: () => call(ROUTES.invited, {}, { body: { token } }),
    // Never refetched: after it was accepted it would be reported as used up.
    staleTime: Infinity,
  });

/** Whether an error means that the device was signed out. */
export const isSignedOut = (error: unknown): boolean =>
  error instanceof Refused && error.status === 401;
