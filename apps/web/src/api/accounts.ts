import type {
  AccountBody,
  AccountReply,
  DeviceReply,
  InvitationBody,
  InvitationReply,
  JoinedScreenReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { v7 } from 'uuid';
import { call } from './client.js';
import { useClub } from './club.js';
import { keys } from './keys.js';

export function useAccounts(): UseQueryResult<AccountReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.accounts(clubId),
    queryFn: () => call(ROUTES.accounts, { clubId }),
  });
}

export function useInvitations(): UseQueryResult<InvitationReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.invitations(clubId),
    queryFn: () => call(ROUTES.invitations, { clubId }),
  });
}

export function useDevices(): UseQueryResult<DeviceReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.devices(clubId),
    queryFn: () => call(ROUTES.devices, { clubId }),
  });
}

/** They come and go by themselves: read again and again while somebody looks. */
const LOOK_AGAIN_MS = 5000;

export function useJoinedScreens(): UseQueryResult<JoinedScreenReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.joinedScreens(clubId),
    queryFn: () => call(ROUTES.joinedScreens, { clubId }),
    refetchInterval: LOOK_AGAIN_MS,
  });
}

/** Something an owner does about who comes in; what is shown of it is read anew after. */
function useLetting<Said, Given>(
  ask: (clubId: string, said: Said) => Promise<Given>,
): UseMutationResult<Given, Error, Said> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (said) => ask(clubId, said),
    onSettled: () => client.invalidateQueries({ queryKey: keys.letIn(clubId) }),
  });
}

export const useSaveAccount = () =>
  useLetting((clubId, { id, ...body }: AccountBody & { id: string }) =>
    call(ROUTES.saveAccount, { clubId, accountId: id }, { body }),
  );

export const useEndAccount = () =>
  useLetting((clubId, accountId: string) => call(ROUTES.endAccount, { clubId, accountId }));

export const useInvite = () =>
  useLetting((clubId, body: InvitationBody) =>
    call(ROUTES.invite, { clubId, invitationId: v7() }, { body }),
  );

export const useEndInvitation = () =>
  useLetting((clubId, invitationId: string) =>
    call(ROUTES.endInvitation, { clubId, invitationId }),
  );

export const useEndDevice = () =>
  useLetting((clubId, deviceId: string) => call(ROUTES.endDevice, { clubId, deviceId }));

export const useEndScreen = () =>
  useLetting((clubId, at: { readonly room: string; readonly screen: string }) =>
    call(ROUTES.endScreen, { clubId, ...at }),
  );
