import { Controller, HttpCode } from '@nestjs/common';
import { ClubReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { DemoService } from './demo.service.js';

@Controller()
export class DemoController {
  constructor(private readonly demo: DemoService) {}

  @Serves(ROUTES.bringDemo, { gives: ClubReply })
  @HttpCode(200)
  bring(): Promise<ClubReply> {
    return this.demo.bring();
  }
}
