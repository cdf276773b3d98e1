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
import { ApiOkResponse } from '@nestjs/swagger';
import { Gives, Takes } from '../../platform/http/openapi.js';
import { patternSchema } from './pattern-schema.js';
import { PatternsService, versionReply } from './patterns.service.js';

@Controller()
export class PatternsController {
  constructor(private readonly patterns: PatternsService) {}

  @Get('pattern.schema.json')
  @ApiOkResponse({ schema: { type: 'object' } })
  schema(): object {
    return patternSchema();
  }

  @Get('clubs/:clubId/patterns')
  @Gives(PatternLineReply, { each: true })
  library(@Param() { clubId }: ClubPath): Promise<PatternLineReply[]> {
    return this.patterns.library(clubId);
  }

  @Get('clubs/:clubId/patterns/:patternId')
  @Gives(PatternReply)
  async newest(@Param() { clubId, patternId }: PatternPath): Promise<PatternReply> {
    return versionReply(await this.patterns.newest(clubId, patternId));
  }

  @Get('clubs/:clubId/patterns/:patternId/versions/:version')
  @Gives(PatternReply)
  async version(
    @Param() { clubId, patternId, version }: PatternVersionPath,
  ): Promise<PatternReply> {
    return versionReply(await this.patterns.version(clubId, patternId, version));
  }

  @Put('clubs/:clubId/patterns/:patternId/versions/:version')
  @Takes(PatternBody)
  @Gives(PatternReply)
  save(
    @Param() { clubId, patternId, version }: NewPatternVersionPath,
    @Body() body: PatternBody,
  ): Promise<PatternReply> {
    return this.patterns.save(clubId, patternId, version, body);
  }

  @Put('clubs/:clubId/patterns/:patternId/archived')
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
