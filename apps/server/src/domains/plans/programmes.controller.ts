import { Body, Controller, Param } from '@nestjs/common';
import {
  ClubPath,
  NewProgrammePath,
  ProgrammeBody,
  ProgrammePath,
  ProgrammeReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { ProgrammesService } from './programmes.service.js';

@Controller()
export class ProgrammesController {
  constructor(private readonly programmes: ProgrammesService) {}

  @Serves(ROUTES.programmes, { gives: ProgrammeReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<ProgrammeReply[]> {
    return this.programmes.of(clubId);
  }

  @Serves(ROUTES.saveProgramme, { takes: ProgrammeBody, gives: ProgrammeReply })
  save(
    @Param() { clubId, programmeId }: NewProgrammePath,
    @Body() body: ProgrammeBody,
  ): Promise<ProgrammeReply> {
    return this.programmes.save(clubId, programmeId, body);
  }

  @Serves(ROUTES.removeProgramme)
  async remove(@Param() { clubId, programmeId }: ProgrammePath): Promise<object> {
    await this.programmes.remove(clubId, programmeId);
    return {};
  }
}
