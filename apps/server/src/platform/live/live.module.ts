import { Module, type DynamicModule } from '@nestjs/common';
import { LiveGateway } from './live.gateway.js';
import { DATABASE_URL } from '../database/database-url.js';
import { Notices } from './notices.js';
import { Rooms } from './rooms.js';

@Module({})
export class LiveModule {
  static on(databaseUrl: string): DynamicModule {
    return {
      module: LiveModule,
      providers: [{ provide: DATABASE_URL, useValue: databaseUrl }, Notices, Rooms, LiveGateway],
    };
  }
}
