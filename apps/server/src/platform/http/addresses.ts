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
 * The host names this server accepts. Any web page can point a name of its own at a loopback address (DNS rebinding);
 * the browser then treats that page as same-origin, and only the Host header gives it away.
 */
export class Addresses {
  private readonly names: ReadonlySet<string>;
  private readonly publicOrigin: string | null;
  private readonly trustedProxies: number;
  /** The app's address for links in mail. */
  readonly usual: string;

  /**
   * @param listening `host` is the address listened on, `publicAddress` that of a proxy in front, and
   * `trustedProxies` the number of proxies in a row
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

  /** Whether a Host header is one of this server's names. */
  isOwnHost(host: string | undefined): boolean {
    const name = nameIn(`http://${host ?? ''}`);
    return name !== null && this.names.has(name);
  }

  /**
   * Whether a request comes from one of this server's pages, or from no page. Another port on this machine is another
   * program, and refused.
   */
  isOwnOrigin(origin: string | undefined, host: string | undefined): boolean {
    if (origin === undefined || origin === this.publicOrigin) return true;
    return URL.canParse(origin) && new URL(origin).host === host;
  }

  /** The client's address, taking the word of the trusted proxies. */
  askedFrom(request: IncomingMessage): string {
    return proxyAddress(request, (_address, proxies) => proxies < this.trustedProxies);
  }

  /** Refuses requests with a foreign Host or Origin. */
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
