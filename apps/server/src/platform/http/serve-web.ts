import type { ServerResponse } from 'node:http';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import expressStaticGzip from 'express-static-gzip';

/** The web app as it was built. */
export const WEB = join(import.meta.dirname, '../../../../web/dist');
const YEAR_S = 365 * 24 * 60 * 60;
/** Vite names the files in here by their content. */
const NAMED_BY_CONTENT = '/assets/';

const isOfApi = ({ path }: Request): boolean => path === '/api' || path.startsWith('/api/');

/** Whether a request is for a page of the web app, at whichever of its addresses. */
export const isPage = (request: Request): boolean =>
  request.method === 'GET' &&
  !isOfApi(request) &&
  !/^\/assets(\/|$)/.test(request.path) &&
  request.accepts('html') !== false;

/** Serves the built web app beside the API; every address that is not the API's is a page of it. */
export function serveWeb(app: NestExpressApplication): void {
  if (!existsSync(WEB)) return;
  const files = expressStaticGzip(WEB, {
    enableBrotli: true,
    orderPreference: ['br', 'gzip'],
    serveStatic: {
      setHeaders: (response: ServerResponse, path: string) =>
        response.setHeader(
          'Cache-Control',
          path.includes(NAMED_BY_CONTENT) ? `public, max-age=${YEAR_S}, immutable` : 'no-cache',
        ),
    },
  });
  // To look on the disk for a file of that name takes a request of the API a twentieth of its time.
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (isOfApi(request)) next();
    else files(request, response, next);
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (!isPage(request)) next();
    else response.sendFile('index.html', { root: WEB, headers: { 'Cache-Control': 'no-cache' } });
  });
}
