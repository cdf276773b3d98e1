import type { IncomingMessage } from 'node:http';

const OWN_NAME = /^(?:localhost|127\.0\.0\.1|\[::1\])(?::\d+)?$/;
const LOOPBACK = /^(?:::ffff:)?127\.|^::1$/;

/**
 * Whether a request comes from the machine that serves. One that a proxy hands on comes from wherever
 * the proxy had it, which is nowhere near; one that does not say so is known by the name it asks by.
 */
export const isOnThisMachine = ({ socket, headers }: IncomingMessage): boolean =>
  LOOPBACK.test(socket.remoteAddress ?? '') &&
  OWN_NAME.test(headers.host ?? '') &&
  headers['x-forwarded-for'] === undefined &&
  headers['forwarded'] === undefined;
