import { MikroOrmModule } from '@mikro-orm/nestjs';
import { PostgreSqlDriver } from '@mikro-orm/postgresql';
import { Module, type DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { ClubsModule } from './clubs/clubs.module.js';
import { ormOptions } from './database/orm-options.js';
import { DrillsModule } from './drills/drills.module.js';
import { HealthModule } from './health/health.module.js';
import { ProgressModule } from './progress/progress.module.js';
import { ReviewModule } from './review/review.module.js';
import type { Settings } from './settings.js';
import { SquadModule } from './squad/squad.module.js';

const YEAR_S = 365 * 24 * 60 * 60;

@Module({})
export class AppModule {
  static with(settings: Settings, web: string | null): DynamicModule {
    return {
      module: AppModule,
      imports: [
        MikroOrmModule.forRoot({ ...ormOptions(settings.databaseUrl), driver: PostgreSqlDriver }),
        ClubsModule,
        DrillsModule,
        ProgressModule,
        SquadModule,
        ReviewModule,
        HealthModule,
        ...(web === null ? [] : [servesWeb(web)]),
      ],
    };
  }
}

const servesWeb = (rootPath: string): DynamicModule =>
  ServeStaticModule.forRoot({
    rootPath,
    exclude: ['/api/{*rest}'],
    serveStaticOptions: {
      setHeaders: (response: { setHeader: (name: string, value: string) => void }, path: string) =>
        response.setHeader(
          'Cache-Control',
          // Vite names these files by their content.
          path.includes('/assets/') ? `public, max-age=${YEAR_S}, immutable` : 'no-cache',
        ),
    },
  });
