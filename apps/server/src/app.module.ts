import { randomBytes } from 'node:crypto';
import { MikroOrmModule } from '@mikro-orm/nestjs';
import { EntityManager, PostgreSqlDriver } from '@mikro-orm/postgresql';
import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { DemoModule } from './demo/demo.module.js';
import { DerivedModule } from './derived/derived.module.js';
import { AccountsModule } from './domains/accounts/accounts.module.js';
import { CareModule } from './domains/care/care.module.js';
import { ClubsModule } from './domains/clubs/clubs.module.js';
import { GatewaysModule } from './domains/clubs/gateways.module.js';
import { DomainsModule } from './domains/domains.module.js';
import { DrillsModule } from './domains/drills/drills.module.js';
import { GroupsModule } from './domains/groups/groups.module.js';
import { NotesModule } from './domains/notes/notes.module.js';
import { PatternsModule } from './domains/patterns/patterns.module.js';
import { PlansModule } from './domains/plans/plans.module.js';
import { PracticeModule } from './domains/practice/practice.module.js';
import { ProgressModule } from './domains/progress/progress.module.js';
import { SessionsModule } from './domains/sessions/sessions.module.js';
import { ormOptions } from './platform/database/orm-options.js';
import { Sessions } from './platform/auth/sessions.js';
import { MayAskGuard } from './platform/auth/may-ask.guard.js';
import { Standby } from './platform/database/standby.js';
import { Addresses } from './platform/http/addresses.js';
import { HealthModule } from './platform/health/health.module.js';
import { LiveModule } from './platform/live/live.module.js';
import { LogsModule } from './platform/logs/logs.module.js';
import { Outbox } from './platform/mail/outbox.js';
import { MetricsModule } from './platform/metrics/metrics.module.js';
import type { Settings } from './platform/settings.js';
import { TABLES } from './tables.js';
import { TransferModule } from './transfer/transfer.module.js';
import { ViewsModule } from './views/views.module.js';

const SECRET_BYTES = 32;
/**
 * Used where no secret is configured. Cookies it signed are worthless after a restart, so everybody signs in again.
 */
const newSecret = (): string => randomBytes(SECRET_BYTES).toString('base64url');

/**
 * The most requests of one kind from one address; a hall full of devices behind one router stays far below. The
 * window is one second because the limiter goes through all it has counted on every request.
 */
const RATE = { ttl: 1000, limit: 1000 };

@Module({})
export class AppModule {
  static with(
    {
      servingUrl,
      standbyUrl = null,
      outbox = null,
      sessionSecret,
      tryRoles = true,
      gateways = [],
      readyThreads = 0,
    }: Settings,
    addresses: Addresses,
  ): DynamicModule {
    return {
      module: AppModule,
      imports: [
        LogsModule,
        ThrottlerModule.forRoot([RATE]),
        MikroOrmModule.forRoot({
          ...ormOptions(servingUrl, TABLES, standbyUrl),
          driver: PostgreSqlDriver,
        }),
        DomainsModule,
        AccountsModule.with({
          outbox: new Outbox(outbox, addresses.usual),
          sessions: () => new Sessions(servingUrl, sessionSecret ?? newSecret()),
          mayTryRoles: tryRoles,
        }),
        GatewaysModule.with(gateways),
        ...[ClubsModule, PatternsModule, DrillsModule, ProgressModule, NotesModule],
        ...[CareModule, GroupsModule, PlansModule, SessionsModule, PracticeModule],
        DerivedModule,
        ViewsModule,
        TransferModule.on(servingUrl, readyThreads),
        DemoModule.on(servingUrl),
        HealthModule,
        MetricsModule,
        LiveModule.on(servingUrl, addresses),
      ],
      providers: [
        {
          provide: Standby,
          inject: [EntityManager],
          useFactory: (em: EntityManager) => (standbyUrl === null ? null : new Standby(em)),
        },
        { provide: APP_GUARD, useClass: ThrottlerGuard },
        { provide: APP_GUARD, useClass: MayAskGuard },
      ],
    };
  }
}
