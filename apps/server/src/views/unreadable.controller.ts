import { Controller, Param } from '@nestjs/common';
import { ClubPath, UnreadableReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { UnreadableService } from './unreadable.service.js';

@Controller()
export class UnreadableController {
  constructor(private readonly unreadable: UnreadableService) {}

  @Serves(ROUTES.unreadable, { gives: UnreadableReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<UnreadableReply[]> {
    return this.unreadable.of(clubId);
  }
}
