import type { ServerResponse } from 'node:http';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import expressStaticGzip from 'express-static-gzip';

/** The built web app. */
export const WEB = join(import.meta.dirname, '../../../../web/dist');
const YEAR_S = 365 * 24 * 60 * 60;
/** File names in here contain a hash of the content, so they can be cached for ever. */
const NAMED_BY_CONTENT = '/assets/';

const isOfApi = ({ path }: Request): boolean => path === '/api' || path.startsWith('/api/');

/** Whether a request is for a page of the web app rather than for a file or the API. */
export const isPage = (request: Request): boolean =>
  request.method === 'GET' &&
  !isOfApi(request) &&
  !/^\/assets(\/|$)/.test(request.path) &&
  request.accepts('html') !== false;

/** Serves the built web app; every address outside the API that is not a file gets the app's page. */
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
  // Skips the static file lookup for API requests: it took a twentieth of their time.
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (isOfApi(request)) next();
    else files(request, response, next);
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (!isPage(request)) next();
    else response.sendFile('index.html', { root: WEB, headers: { 'Cache-Control': 'no-cache' } });
  });
}
