import type { IncomingMessage, ServerResponse } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { isPage } from './serve-web.js';

/** The stand-in for beacons, or a gateway's own program beside the app. */
const OWN_GATEWAYS = ['ws://127.0.0.1:*', 'ws://localhost:*'];

/** A page does not wait longer for a database that does not answer. */
const LONGEST_MS = 1000;

const beforeLong = <Value>(work: Promise<Value>): Promise<Value> => {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error('too long')), LONGEST_MS);
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
};

type Handler = (request: Request, response: Response, next: NextFunction) => void;

/** What a page may connect to beside its server, worked out for whoever opens it. */
const gatewaysOf = new WeakMap<ServerResponse, readonly string[]>();

/**
 * What a page may load and connect to: all of its own server, and the gateways of beacons that its
 * club named. Where those cannot be read just now the page opens without them.
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
        // The model that finds a body in a film runs as WebAssembly.
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
    // Served on loopback without TLS; a proxy in front of it sets this itself.
    strictTransportSecurity: false,
  }),
];
