import type { MeReply, PasskeyReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { call } from './client.js';
import { keys } from './keys.js';

const KEY = 'public-key';
/** Accepted signature algorithms (COSE): EdDSA, ES256, RS256. */
const SIGNATURES = [-8, -7, -257];
const ADDRESS = /^[\d.]+$|^\[/;

/** Whether passkeys work here: they need a secure page at a host name, not at an IP address. */
export const canUsePasskeys = (): boolean =>
  window.isSecureContext &&
  typeof PublicKeyCredential !== 'undefined' &&
  !ADDRESS.test(window.location.hostname);

/** Loaded on demand: most people never use it. */
const webAuthn = () => import('@simplewebauthn/browser');

/** Whether somebody cancelled the dialog or let it time out, which is no error. */
export const isGivenUp = (error: Error | null): boolean => error?.name === 'NotAllowedError';

/** Signs in with any passkey this device has for the server. */
export async function answerByPasskey(): Promise<MeReply> {
  const { challenge, rpId } = await call(ROUTES.askPasskey, {});
  const { startAuthentication } = await webAuthn();
  const { id, response } = await startAuthentication({
    optionsJSON: { challenge, rpId, userVerification: 'required' },
  });
  const { clientDataJSON, authenticatorData, signature } = response;
  return call(
    ROUTES.signInByPasskey,
    {},
    { body: { credentialId: id, clientDataJSON, authenticatorData, signature } },
  );
}

export const usePasskeys = (): UseQueryResult<PasskeyReply[]> =>
  useQuery({ queryKey: keys.passkeys, queryFn: () => call(ROUTES.passkeys, {}) });

/** Creates a passkey on this device, with a name for the list. */
export function useAddPasskey(): UseMutationResult<PasskeyReply, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: makePasskey,
    onSuccess: () => client.invalidateQueries({ queryKey: keys.passkeys }),
  });
}

async function makePasskey(name: string): Promise<PasskeyReply> {
  const { challenge, rpId, userId, userName, has } = await call(ROUTES.newPasskey, {});
  const { startRegistration } = await webAuthn();
  const { id, response } = await startRegistration({
    optionsJSON: {
      ...{ challenge, rp: { id: rpId, name: 'Orthokin' }, attestation: 'none' },
      user: { id: userId, name: userName, displayName: userName },
      pubKeyCredParams: SIGNATURES.map((alg) => ({ type: KEY, alg })),
      excludeCredentials: has.map((each) => ({ type: KEY, id: each })),
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    },
  });
  const { clientDataJSON, attestationObject } = response;
  return call(
    ROUTES.addPasskey,
    {},
    { body: { name, credentialId: id, clientDataJSON, attestationObject } },
  );
}

export function useRemovePasskey(): UseMutationResult<object, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (passkeyId) => call(ROUTES.removePasskey, { passkeyId }),
    onSettled: () => client.invalidateQueries({ queryKey: keys.passkeys }),
  });
}
