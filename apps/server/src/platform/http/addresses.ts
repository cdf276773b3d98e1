import type { IncomingMessage } from 'node:http';
import { hostname, networkInterfaces } from 'node:os';
import type { NextFunction, Request, Response } from 'express';
import proxyAddress from 'proxy-addr';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const ALL = ['0.0.0.0', '::'];

const nameIn = (address: string): string | null => {
  try {
    return new URL(address).hostname;
  } catch {
    return null;
  }
};

interface Listening {
  readonly host: string;
  readonly port?: number;
  readonly publicAddress?: string | null;
  readonly tls?: object | null;
  readonly trustedProxies?: number;
}

/**
 * The names this server may be called by. A page elsewhere can lead any name of its own to a loopback
 * address (DNS rebinding): the browser then takes that page for ours, and only the name tells.
 */
export class Addresses {
  private readonly names: ReadonlySet<string>;
  private readonly publicOrigin: string | null;
  private readonly trustedProxies: number;
  /** How the app is reached, for links that leave it. */
  readonly usual: string;

  /**
   * `host` is what is listened on; `publicAddress` how a proxy in front is reached, if there is one, and
   * `trustedProxies` how many stand one behind the other.
   */
  constructor({ host, port = 0, publicAddress = null, tls = null, trustedProxies = 0 }: Listening) {
    this.trustedProxies = trustedProxies;
    this.publicOrigin = publicAddress === null ? null : new URL(publicAddress).origin;
    const own = Object.values(networkInterfaces()).flatMap((each) => each ?? []);
    const outside = own.find(({ internal, family }) => !internal && family === 'IPv4')?.address;
    const reached = ALL.includes(host) ? (outside ?? hostname()) : host;
    this.usual = this.publicOrigin ?? `${tls ? 'https' : 'http'}://${reached}:${port}`;
    const shown = (address: string, family: string) =>
      family === 'IPv6' ? `[${address}]` : address;
    this.names = new Set([
      ...LOOPBACK,
      ...(ALL.includes(host)
        ? [hostname().toLowerCase(), `${hostname().toLowerCase()}.local`]
        : [host]),
      ...(ALL.includes(host) ? own.map(({ address, family }) => shown(address, family)) : []),
      ...(publicAddress === null ? [] : [nameIn(publicAddress) ?? publicAddress]),
    ]);
  }

  /** Whether a Host header calls this server by a name of its own. */
  isOwnHost(host: string | undefined): boolean {
    const name = nameIn(`http://${host ?? ''}`);
    return name !== null && this.names.has(name);
  }

  /**
   * Whether what asks is a page of this server, or no page at all: one that came from where it asks, or
   * from the public address. Another port of this machine is another program.
   */
  isOwnOrigin(origin: string | undefined, host: string | undefined): boolean {
    if (origin === undefined || origin === this.publicOrigin) return true;
    return URL.canParse(origin) && new URL(origin).host === host;
  }

  /** Where a request comes from, as the nearest proxies that are trusted say. */
  askedFrom(request: IncomingMessage): string {
    return proxyAddress(request, (_address, proxies) => proxies < this.trustedProxies);
  }

  /** Refuses requests by another name, and from pages of others. */
  readonly guard = (request: Request, response: Response, next: NextFunction): void => {
    const { host, origin } = request.headers;
    if (!this.isOwnHost(host)) refuse(response, 421, 'Host', host ?? 'nothing');
    else if (!this.isOwnOrigin(origin, host)) refuse(response, 403, 'Origin', origin ?? '');
    else next();
  };
}

function refuse(response: Response, statusCode: number, field: string, given: string): void {
  const allowed = 'an address this server is reached by (see PUBLIC_ADDRESS)';
  response.status(statusCode).json({
    statusCode,
    message: `${field}: given ${given}, allowed ${allowed}.`,
    problems: [{ field, given, allowed }],
  });
}
