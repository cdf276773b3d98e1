import type { IncomingMessage } from 'node:http';
import { EntityManager } from '@mikro-orm/postgresql';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { WsAdapter } from '@nestjs/platform-ws';
import { NestFactory } from '@nestjs/core';
import compression from 'compression';
import { Logger } from 'nestjs-pino';
import { AppModule } from './app.module.js';
import { Callers } from './domains/accounts/callers.js';
import { GatewaysService } from './domains/clubs/gateways.service.js';
import { Sessions } from './platform/auth/sessions.js';
import { buildWalls } from './platform/auth/walls.js';
import { WhoAsks } from './platform/auth/who-asks.js';
import { refuseWithoutWalls } from './platform/database/serving-role.js';
import { SharedReading } from './platform/database/shared-reading.js';
import { Standby } from './platform/database/standby.js';
import { Addresses } from './platform/http/addresses.js';
import { noStore } from './platform/http/no-store.js';
import { pagePolicy } from './platform/http/page-policy.js';
import { serveDocs } from './platform/http/openapi.js';
import { CheckedPipe } from './platform/http/checked.pipe.js';
import { serveWeb } from './platform/http/serve-web.js';
import { ReadNear } from './platform/database/read-near.js';
import { Retried } from './platform/http/retried.js';
import { UnderWay } from './platform/http/under-way.js';
import { RefusalFilter } from './platform/http/refusal.filter.js';
import type { Settings } from './platform/settings.js';
import { prepare } from './prepare.js';

/** The body of a 200-rep set is far below this. */
const BODY_LIMIT = '4mb';

/** Imports, like files, are streamed and parsed in a worker thread; the body parser leaves them alone. */
const READ_AS_IT_COMES = /^\/api\/clubs\/[^/]+\/imports\//;
const isReadWhole = ({ url = '', headers }: IncomingMessage): boolean =>
  !READ_AS_IT_COMES.test(url) && (headers['content-type'] ?? '').startsWith('application/json');

/**
 * API replies are not compressed: for pages of figures, compressing takes longer than sending, and a proxy in front
 * of a distant server can compress for everybody. Scripts and styles are much larger and are compressed.
 */
const isWorthPacking: compression.CompressionFilter = (request, response) =>
  !request.url.startsWith('/api/') && compression.filter(request, response);

/**
 * Builds the application, ready to listen: migrates the database, loads the demo if asked, and serves TLS if there is
 * a certificate.
 */
export async function createApp(
  settings: Settings,
  tls: { readonly cert: Buffer; readonly key: Buffer } | null = null,
): Promise<NestExpressApplication> {
  await prepare(settings);
  const addresses = new Addresses(settings);
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.with(settings, addresses),
    {
      ...(tls && { httpsOptions: tls }),
      bufferLogs: true,
      bodyParser: false,
      // Screens keep their connections open; waiting for them to close would hold up every restart.
      forceCloseConnections: true,
    },
  );
  app.useLogger(app.get(Logger));
  app.set('trust proxy', settings.trustedProxies ?? 0);
  const em = app.get(EntityManager);
  buildWalls(em);
  await refuseWithoutWalls(em.fork());
  app.use(app.get(UnderWay).middleware);
  app.use(addresses.guard);
  app.useBodyParser('json', { limit: BODY_LIMIT, type: isReadWhole });
  app.useWebSocketAdapter(new WsAdapter(app));
  app.setGlobalPrefix('api');
  app.use(
    ...pagePolicy(async (request) => {
      const { clubIds } = await app.get(WhoAsks).runsDrills(request);
      return app.get(GatewaysService).ofAll(clubIds);
    }),
  );
  app.use('/api', noStore);
  app.use('/api', app.get(Sessions).middleware, app.get(Callers).middleware);
  // API replies are never cached (no-store), so hashing each one for an ETag would be wasted.
  app.disable('etag');
  app.use(compression({ filter: isWorthPacking }));
  serveWeb(app);
  app.useGlobalPipes(new CheckedPipe());
  const standby = app.get<Standby | null>(Standby);
  // With a standby, what may be read depends on what the asking device wrote last, so replies cannot be shared.
  app.useGlobalInterceptors(new Retried(), standby ? new ReadNear(standby) : new SharedReading());
  app.useGlobalFilters(new RefusalFilter());
  serveDocs(app);
  return app;
}
