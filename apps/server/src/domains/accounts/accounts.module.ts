import { Module, type DynamicModule } from '@nestjs/common';
import { Sessions } from '../../platform/auth/sessions.js';
import { WhoAsks } from '../../platform/auth/who-asks.js';
import { Outbox } from '../../platform/mail/outbox.js';
import { AthletesModule } from '../athletes/athletes.module.js';
import { ClubsModule } from '../clubs/clubs.module.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';
import { Callers } from './callers.js';
import { DevicesService } from './devices.service.js';
import { InvitationsService } from './invitations.service.js';
import { OwnedClubsService } from './owned-clubs.service.js';
import { PasskeysController } from './passkeys.controller.js';
import { PasskeysService } from './passkeys.service.js';
import { ScreensController } from './screens.controller.js';
import { SignInController } from './sign-in.controller.js';
import { MAY_TRY_ROLES, SignInService } from './sign-in.service.js';

interface Parts {
  readonly outbox: Outbox;
  /** A factory, because sessions open connections as soon as they exist. */
  readonly sessions: () => Sessions;
  readonly mayTryRoles: boolean;
}

@Module({})
export class AccountsModule {
  static with({ outbox, sessions, mayTryRoles }: Parts): DynamicModule {
    return {
      module: AccountsModule,
      // The live channel, in another module, authenticates connections.
      global: true,
      imports: [AthletesModule, ClubsModule],
      controllers: [SignInController, PasskeysController, AccountsController, ScreensController],
      providers: [
        { provide: Outbox, useValue: outbox },
        { provide: MAY_TRY_ROLES, useValue: mayTryRoles },
        { provide: Sessions, useFactory: sessions },
        ...[AccountsService, InvitationsService, DevicesService, SignInService, Callers],
        ...[OwnedClubsService, PasskeysService],
        { provide: WhoAsks, useExisting: Callers },
      ],
      exports: [Callers, Sessions, WhoAsks],
    };
  }
}
