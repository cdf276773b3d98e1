import { Body, Controller, Param } from '@nestjs/common';
import { ClubPath, HomePracticeBody, HomePracticeReply, NewPracticePath } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { PracticeService } from './practice.service.js';

@Controller()
export class PracticeController {
  constructor(private readonly practice: PracticeService) {}

  @Serves(ROUTES.homePractice, { gives: HomePracticeReply, each: true })
  newest(@Param() { clubId }: ClubPath): Promise<HomePracticeReply[]> {
    return this.practice.newest(clubId);
  }

  @Serves(ROUTES.writeHomePractice, { takes: HomePracticeBody, gives: HomePracticeReply })
  write(
    @Param() { clubId, practiceId }: NewPracticePath,
    @Body() body: HomePracticeBody,
  ): Promise<HomePracticeReply> {
    return this.practice.write(clubId, practiceId, body);
  }
}
