import { Body, Controller, Param } from '@nestjs/common';
import { ClubPath, GatewaysBody, GatewaysReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { GatewaysService } from './gateways.service.js';

@Controller()
export class GatewaysController {
  constructor(private readonly gateways: GatewaysService) {}

  @Serves(ROUTES.gateways, { gives: GatewaysReply })
  read(@Param() { clubId }: ClubPath): Promise<GatewaysReply> {
    return this.gateways.of(clubId);
  }

  @Serves(ROUTES.saveGateways, { takes: GatewaysBody, gives: GatewaysReply })
  save(@Param() { clubId }: ClubPath, @Body() body: GatewaysBody): Promise<GatewaysReply> {
    return this.gateways.save(clubId, body);
  }
}
