import { createServer, type Server } from 'node:http';
import express from 'express';
import { WEB } from './serve-web.js';

const CA_TYPE = 'application/x-x509-ca-cert';

/**
 * A plain-HTTP server beside the TLS one that lets a device fetch the certificate authority and tells how to trust
 * it. It serves no club data and redirects everything else to HTTPS.
 */
export function trustDoor(ca: Buffer, securePort: number): Server {
  const app = express();
  app.disable('x-powered-by');
  app.get('/club-ca.crt', (_request, response) => {
    response.type(CA_TYPE).attachment('orthokin-club-ca.crt').send(ca);
  });
  app.use('/assets', express.static(`${WEB}/assets`, { index: false }));
  app.get('/trust', (_request, response) => {
    response.sendFile('index.html', { root: WEB, headers: { 'Cache-Control': 'no-cache' } });
  });
  app.use((request, response) => {
    const path = request.path === '/open' ? '/' : request.originalUrl;
    response.redirect(308, `https://${request.hostname}:${securePort}${path}`);
  });
  return createServer(app);
}
