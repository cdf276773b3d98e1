import type { IncomingMessage } from 'node:http';

const OWN_NAME = /^(?:localhost|127\.0\.0\.1|\[::1\])(?::\d+)?$/;
const LOOPBACK = /^(?:::ffff:)?127\.|^::1$/;

/**
 * Whether a request comes from the machine the server runs on. A forwarded request never does; one from a proxy that
 * does not say it forwards is recognised by the host name it asks for.
 */
export const isOnThisMachine = ({ socket, headers }: IncomingMessage): boolean =>
  LOOPBACK.test(socket.remoteAddress ?? '') &&
  OWN_NAME.test(headers.host ?? '') &&
  headers['x-forwarded-for'] === undefined &&
  headers['forwarded'] === undefined;
