import type { IncomingMessage, ServerResponse } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { isPage } from './serve-web.js';

/** Where the simulated beacons, or a gateway's program on the same machine, listen. */
const OWN_GATEWAYS = ['ws://127.0.0.1:*', 'ws://localhost:*'];

/** How long a page waits for a database that does not answer. */
const LONGEST_MS = 1000;

const beforeLong = <Value>(work: Promise<Value>): Promise<Value> => {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error('too long')), LONGEST_MS);
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
};

type Handler = (request: Request, response: Response, next: NextFunction) => void;

/** The gateways a page may connect to, looked up before its headers are written. */
const gatewaysOf = new WeakMap<ServerResponse, readonly string[]>();

/**
 * The Content-Security-Policy: everything from the page's own server, plus connections to the club's beacon gateways.
 * If the gateways cannot be read the page opens without them.
 */
export const pagePolicy = (
  gatewaysFor: (request: IncomingMessage) => Promise<readonly string[]>,
): readonly Handler[] => [
  (request, response, next) => {
    if (!isPage(request)) {
      next();
      return;
    }
    void beforeLong(gatewaysFor(request))
      .catch(() => [])
      .then((gateways) => gatewaysOf.set(response, gateways))
      .then(() => next());
  },
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // Finding a body in a film runs as WebAssembly.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        // styled-components writes its rules into a style element.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        connectSrc: [
          "'self'",
          ...OWN_GATEWAYS,
          (_request, response) => (gatewaysOf.get(response) ?? []).join(' '),
        ],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    // Plain HTTP on loopback must not set this; a TLS proxy in front does.
    strictTransportSecurity: false,
  }),
];
