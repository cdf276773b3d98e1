import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import {
  ArchivedBody,
  ClubPath,
  NewPatternVersionPath,
  PatternBody,
  PatternLineReply,
  PatternPath,
  PatternReply,
  PatternVersionPath,
} from '@orthokin/contract';
import { Gives, Takes } from '../http/openapi.js';
import { PatternsService, versionReply } from './patterns.service.js';

@Controller('clubs/:clubId/patterns')
export class PatternsController {
  constructor(private readonly patterns: PatternsService) {}

  @Get()
  @Gives(PatternLineReply, { each: true })
  library(@Param() { clubId }: ClubPath): Promise<PatternLineReply[]> {
    return this.patterns.library(clubId);
  }

  @Get(':patternId')
  @Gives(PatternReply)
  async newest(@Param() { clubId, patternId }: PatternPath): Promise<PatternReply> {
    return versionReply(await this.patterns.newest(clubId, patternId));
  }

  @Get(':patternId/versions/:version')
  @Gives(PatternReply)
  async version(
    @Param() { clubId, patternId, version }: PatternVersionPath,
  ): Promise<PatternReply> {
    return versionReply(await this.patterns.version(clubId, patternId, version));
  }

  @Put(':patternId/versions/:version')
  @Takes(PatternBody)
  @Gives(PatternReply)
  save(
    @Param() { clubId, patternId, version }: NewPatternVersionPath,
    @Body() body: PatternBody,
  ): Promise<PatternReply> {
    return this.patterns.save(clubId, patternId, version, body);
  }

  @Put(':patternId/archived')
  @Takes(ArchivedBody)
  @Gives(ArchivedBody)
  async archive(
    @Param() { clubId, patternId }: PatternPath,
    @Body() body: ArchivedBody,
  ): Promise<ArchivedBody> {
    await this.patterns.archive(clubId, patternId, body.archived);
    return body;
  }
}
