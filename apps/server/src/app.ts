import type { NestExpressApplication } from '@nestjs/platform-express';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import compression from 'compression';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { prepareDatabase } from './database/prepare.js';
import { serveDocs } from './http/openapi.js';
import { refuseInvalid } from './http/refusals.js';
import { serveWeb } from './http/serve-web.js';
import { RefusalFilter } from './http/refusal.filter.js';
import type { Settings } from './settings.js';

/** A set of 200 reps with every event is well below this. */
const BODY_LIMIT = '256kb';

/** The application, its database migrated and (as asked) its demo loaded, ready to listen. */
export async function createApp(settings: Settings): Promise<NestExpressApplication> {
  await prepareDatabase(settings);
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
    logger: ['error', 'warn'],
    bodyParser: false,
  });
  app.useBodyParser('json', { limit: BODY_LIMIT });
  app.setGlobalPrefix('api');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // styled-components writes its rules into a style element.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // Served on loopback without TLS; a proxy in front of it sets this itself.
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  serveWeb(app);
  app.useGlobalPipes(
    new ValidationPipe({
      transform: true,
      whitelist: true,
      forbidNonWhitelisted: true,
      exceptionFactory: refuseInvalid,
    }),
  );
  app.useGlobalFilters(new RefusalFilter());
  app.enableShutdownHooks();
  serveDocs(app);
  return app;
}
