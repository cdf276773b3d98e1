import { isLoopback } from '../../parts/is-loopback.js';

/** The gateway of an address: without path and query, as the page's policy names it. */
export function gatewayOf(address: string): string | null {
  if (!URL.canParse(address)) return null;
  const { protocol, host } = new URL(address);
  return protocol === 'ws:' || protocol === 'wss:' ? `${protocol}//${host}` : null;
}

/** Why this page cannot connect to a gateway. */
export type Barrier = 'no address' | 'secure page' | 'not let' | null;

/** Why this page cannot connect to an address, whatever is there; `null` if it can. */
export function barrierTo(
  address: string,
  known: readonly string[] | null,
  isSecure = window.location.protocol === 'https:',
): Barrier {
  const gateway = gatewayOf(address);
  if (gateway === null) return 'no address';
  if (isLoopback(new URL(address).hostname)) return null;
  if (isSecure && gateway.startsWith('ws://')) return 'secure page';
  // Until the allowed gateways are known the browser decides.
  return known === null || known.includes(gateway) ? null : 'not let';
}
