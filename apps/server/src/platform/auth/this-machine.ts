import type { IncomingMessage } from 'node:http';

const LOOPBACK = /^(?:::ffff:)?127\.|^::1$/;

/**
 * Whether a request comes from the machine that serves. One that a proxy hands on comes from wherever
 * the proxy had it, which is nowhere near.
 */
export const isOnThisMachine = ({ socket, headers }: IncomingMessage): boolean =>
  LOOPBACK.test(socket.remoteAddress ?? '') &&
  headers['x-forwarded-for'] === undefined &&
  headers['forwarded'] === undefined;
