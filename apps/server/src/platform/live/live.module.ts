import { Module, type DynamicModule } from '@nestjs/common';
import { Addresses } from '../http/addresses.js';
import { LiveGateway } from './live.gateway.js';
import { DATABASE_URL } from '../database/database-url.js';
import { Notices } from './notices.js';
import { Present } from './present.js';
import { Rooms } from './rooms.js';

@Module({})
export class LiveModule {
  static on(databaseUrl: string, addresses: Addresses): DynamicModule {
    return {
      module: LiveModule,
      // Accounts, in another module, list the screens that are joined.
      global: true,
      providers: [
        { provide: DATABASE_URL, useValue: databaseUrl },
        { provide: Addresses, useValue: addresses },
        Notices,
        Rooms,
        Present,
        LiveGateway,
      ],
      exports: [Rooms, Present],
    };
  }
}
