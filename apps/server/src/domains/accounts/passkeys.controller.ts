import { Body, Controller, HttpCode, Param, Req } from '@nestjs/common';
import {
  MeReply,
  NewPasskeyReply,
  PasskeyAnswerBody,
  PasskeyBody,
  PasskeyPath,
  PasskeyQuestionReply,
  PasskeyReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import type { Request } from 'express';
import { Serves } from '../../platform/http/serves.js';
import { PasskeysService } from './passkeys.service.js';

@Controller()
export class PasskeysController {
  constructor(private readonly passkeys: PasskeysService) {}

  @Serves(ROUTES.newPasskey, { gives: NewPasskeyReply })
  @HttpCode(200)
  askForNew(@Req() request: Request): Promise<NewPasskeyReply> {
    return this.passkeys.askForNew(request);
  }

  @Serves(ROUTES.addPasskey, { takes: PasskeyBody, gives: PasskeyReply })
  @HttpCode(200)
  add(@Req() request: Request, @Body() body: PasskeyBody): Promise<PasskeyReply> {
    return this.passkeys.add(request, body);
  }

  @Serves(ROUTES.passkeys, { gives: PasskeyReply, each: true })
  all(): Promise<PasskeyReply[]> {
    return this.passkeys.all();
  }

  @Serves(ROUTES.removePasskey)
  async remove(@Param() { passkeyId }: PasskeyPath): Promise<object> {
    await this.passkeys.remove(passkeyId);
    return {};
  }

  @Serves(ROUTES.askPasskey, { gives: PasskeyQuestionReply })
  @HttpCode(200)
  askAny(@Req() request: Request): Promise<PasskeyQuestionReply> {
    return this.passkeys.askAny(request);
  }

  @Serves(ROUTES.signInByPasskey, { takes: PasskeyAnswerBody, gives: MeReply })
  @HttpCode(200)
  signIn(@Req() request: Request, @Body() body: PasskeyAnswerBody): Promise<MeReply> {
    return this.passkeys.signIn(request, body);
  }
}
