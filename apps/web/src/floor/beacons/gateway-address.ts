import { isLoopback } from '../../parts/is-loopback.js';

/** The gateway that an address is of: without path and question, as a page is let to connect to it. */
export function gatewayOf(address: string): string | null {
  if (!URL.canParse(address)) return null;
  const { protocol, host } = new URL(address);
  return protocol === 'ws:' || protocol === 'wss:' ? `${protocol}//${host}` : null;
}

/** What stands between this page and a gateway. */
export type Barrier = 'no address' | 'secure page' | 'not let' | null;

/** Why this page cannot connect to an address whatever answers there; `null` where it can. */
export function barrierTo(
  address: string,
  known: readonly string[] | null,
  isSecure = window.location.protocol === 'https:',
): Barrier {
  const gateway = gatewayOf(address);
  if (gateway === null) return 'no address';
  if (isLoopback(new URL(address).hostname)) return null;
  if (isSecure && gateway.startsWith('ws://')) return 'secure page';
  // Until it is read who may be connected to, the browser says.
  return known === null || known.includes(gateway) ? null : 'not let';
}
