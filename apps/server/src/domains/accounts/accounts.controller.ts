import { Body, Controller, Param } from '@nestjs/common';
import {
  AccountBody,
  AccountPath,
  AccountReply,
  ClubPath,
  DevicePath,
  DeviceReply,
  InvitationBody,
  InvitationReply,
  NewInvitationPath,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { AccountsService } from './accounts.service.js';
import { DevicesService } from './devices.service.js';
import { InvitationsService } from './invitations.service.js';

/** Accounts and devices of a club; for owners. */
@Controller()
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly invitations: InvitationsService,
    private readonly devices: DevicesService,
  ) {}

  @Serves(ROUTES.accounts, { gives: AccountReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<AccountReply[]> {
    return this.accounts.of(clubId);
  }

  @Serves(ROUTES.saveAccount, { takes: AccountBody, gives: AccountReply })
  save(
    @Param() { clubId, accountId }: AccountPath,
    @Body() body: AccountBody,
  ): Promise<AccountReply> {
    return this.accounts.save(clubId, accountId, body);
  }

  @Serves(ROUTES.endAccount)
  async end(@Param() { clubId, accountId }: AccountPath): Promise<object> {
    await this.accounts.end(clubId, accountId);
    return {};
  }

  @Serves(ROUTES.invitations, { gives: InvitationReply, each: true })
  invited(@Param() { clubId }: ClubPath): Promise<InvitationReply[]> {
    return this.invitations.of(clubId);
  }

  @Serves(ROUTES.invite, { takes: InvitationBody, gives: InvitationReply })
  invite(
    @Param() { clubId, invitationId }: NewInvitationPath,
    @Body() body: InvitationBody,
  ): Promise<InvitationReply> {
    return this.invitations.invite(clubId, invitationId, body);
  }

  @Serves(ROUTES.endInvitation)
  async endInvitation(@Param() { clubId, invitationId }: NewInvitationPath): Promise<object> {
    await this.invitations.end(clubId, invitationId);
    return {};
  }

  @Serves(ROUTES.devices, { gives: DeviceReply, each: true })
  signedIn(@Param() { clubId }: ClubPath): Promise<DeviceReply[]> {
    return this.devices.of(clubId);
  }

  @Serves(ROUTES.endDevice)
  async endDevice(@Param() { clubId, deviceId }: DevicePath): Promise<object> {
    await this.devices.end(clubId, deviceId);
    return {};
  }
}
