import { Module, type DynamicModule } from '@nestjs/common';
import { Sessions } from '../../platform/auth/sessions.js';
import { Outbox } from '../../platform/mail/outbox.js';
import { AthletesModule } from '../athletes/athletes.module.js';
import { ClubsModule } from '../clubs/clubs.module.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';
import { Callers } from './callers.js';
import { DevicesService } from './devices.service.js';
import { InvitationsService } from './invitations.service.js';
import { SignInController } from './sign-in.controller.js';
import { SignInService } from './sign-in.service.js';

@Module({})
export class AccountsModule {
  /** `sessions` is called once there is a server: they hold connections. */
  static with(outbox: Outbox, sessions: () => Sessions): DynamicModule {
    return {
      module: AccountsModule,
      imports: [AthletesModule, ClubsModule],
      controllers: [SignInController, AccountsController],
      providers: [
        { provide: Outbox, useValue: outbox },
        { provide: Sessions, useFactory: sessions },
        ...[AccountsService, InvitationsService, DevicesService, SignInService, Callers],
      ],
      exports: [Callers, Sessions],
    };
  }
}
