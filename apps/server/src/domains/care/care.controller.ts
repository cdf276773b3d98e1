import { Body, Controller, Param } from '@nestjs/common';
import { CareBody, CarePath, CareReply, NewCarePath } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { CareService } from './care.service.js';

@Controller()
export class CareController {
  constructor(private readonly care: CareService) {}

  @Serves(ROUTES.sayCare, { takes: CareBody, gives: CareReply })
  say(@Param() { clubId, careId }: NewCarePath, @Body() body: CareBody): Promise<CareReply> {
    return this.care.say(clubId, careId, body);
  }

  @Serves(ROUTES.takeOutCare)
  async takeOut(@Param() { clubId, careId }: CarePath): Promise<object> {
    await this.care.takeOut(clubId, careId);
    return {};
  }
}
