import { Body, Controller, HttpCode, Param, Req } from '@nestjs/common';
import {
  AcceptBody,
  ClubPath,
  FloorDeviceBody,
  InvitedReply,
  MeReply,
  OwnerBody,
  PasswordBody,
  SignInBody,
  TokenBody,
  TryRoleBody,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { wrong } from '@orthokin/core/result';
import type { Request } from 'express';
import { callerNow } from '../../platform/auth/caller.js';
import { accepted } from '../../platform/http/refusals.js';
import { Serves } from '../../platform/http/serves.js';
import { AccountsService } from './accounts.service.js';
import { InvitationsService } from './invitations.service.js';
import { identityOf, SignInService } from './sign-in.service.js';

/** Signing devices in and out. */
@Controller()
export class SignInController {
  constructor(
    private readonly signIns: SignInService,
    private readonly accounts: AccountsService,
    private readonly invitations: InvitationsService,
  ) {}

  @Serves(ROUTES.me, { gives: MeReply })
  me(): Promise<MeReply> {
    return this.signIns.me();
  }

  @Serves(ROUTES.signIn, { takes: SignInBody, gives: MeReply })
  @HttpCode(200)
  signIn(@Req() request: Request, @Body() body: SignInBody): Promise<MeReply> {
    return this.signIns.byPassword(request, body);
  }

  @Serves(ROUTES.signOut, { gives: MeReply })
  @HttpCode(200)
  signOut(@Req() request: Request): Promise<MeReply> {
    return this.signIns.out(request);
  }

  @Serves(ROUTES.tryRole, { takes: TryRoleBody, gives: MeReply })
  @HttpCode(200)
  tryRole(@Req() request: Request, @Body() { role }: TryRoleBody): Promise<MeReply> {
    return this.signIns.tryRole(request, role);
  }

  @Serves(ROUTES.firstOwner, { takes: OwnerBody, gives: MeReply })
  async firstOwner(
    @Req() request: Request,
    @Param() { clubId }: ClubPath,
    @Body() body: OwnerBody,
  ): Promise<MeReply> {
    return this.signIns.as(request, identityOf(await this.accounts.firstOwner(clubId, body)));
  }

  @Serves(ROUTES.changePassword, { takes: PasswordBody, gives: MeReply })
  async changePassword(@Req() request: Request, @Body() body: PasswordBody): Promise<MeReply> {
    const { signedIn } = callerNow();
    if (!signedIn?.accountId)
      return accepted(wrong('password', 'no account', 'to be signed in with a password'));
    const { clubId, accountId } = signedIn;
    return this.signIns.as(
      request,
      identityOf(await this.accounts.changePassword(clubId, accountId, body)),
    );
  }

  @Serves(ROUTES.invited, { takes: TokenBody, gives: InvitedReply })
  @HttpCode(200)
  invited(@Body() { token }: TokenBody): Promise<InvitedReply> {
    return this.invitations.behind(token);
  }

  @Serves(ROUTES.accept, { takes: AcceptBody, gives: MeReply })
  @HttpCode(200)
  async accept(@Req() request: Request, @Body() body: AcceptBody): Promise<MeReply> {
    const { who, until } = await this.invitations.accept(body);
    return this.signIns.as(request, who, until);
  }

  /** Turns this device from a person's into the club's shared one beside the floor. */
  @Serves(ROUTES.beFloorDevice, { takes: FloorDeviceBody, gives: MeReply })
  async beFloorDevice(
    @Req() request: Request,
    @Param() { clubId }: ClubPath,
    @Body() { name }: FloorDeviceBody,
  ): Promise<MeReply> {
    await this.accounts.refuseWithoutOwner(clubId);
    return this.signIns.as(request, {
      ...{ clubId, role: 'floor', name, accountId: null, athleteIds: null },
    });
  }
}
