import { Body, Controller, Param } from '@nestjs/common';
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
import { ROUTES } from '@orthokin/contract/routes';
import { ApiOkResponse } from '@nestjs/swagger';
import { Serves } from '../../platform/http/serves.js';
import { patternSchema } from './pattern-schema.js';
import { PatternsService, versionReply } from './patterns.service.js';

@Controller()
export class PatternsController {
  constructor(private readonly patterns: PatternsService) {}

  @Serves(ROUTES.patternSchema)
  @ApiOkResponse({ schema: { type: 'object' } })
  schema(): object {
    return patternSchema();
  }

  @Serves(ROUTES.library, { gives: PatternLineReply, each: true })
  library(@Param() { clubId }: ClubPath): Promise<PatternLineReply[]> {
    return this.patterns.library(clubId);
  }

  @Serves(ROUTES.pattern, { gives: PatternReply })
  async newest(@Param() { clubId, patternId }: PatternPath): Promise<PatternReply> {
    return versionReply(await this.patterns.newest(clubId, patternId));
  }

  @Serves(ROUTES.patternVersion, { gives: PatternReply })
  async version(
    @Param() { clubId, patternId, version }: PatternVersionPath,
  ): Promise<PatternReply> {
    return versionReply(await this.patterns.version(clubId, patternId, version));
  }

  @Serves(ROUTES.savePattern, { takes: PatternBody, gives: PatternReply })
  save(
    @Param() { clubId, patternId, version }: NewPatternVersionPath,
    @Body() body: PatternBody,
  ): Promise<PatternReply> {
    return this.patterns.save(clubId, patternId, version, body);
  }

  @Serves(ROUTES.archivePattern, { takes: ArchivedBody, gives: ArchivedBody })
  async archive(
    @Param() { clubId, patternId }: PatternPath,
    @Body() body: ArchivedBody,
  ): Promise<ArchivedBody> {
    await this.patterns.archive(clubId, patternId, body.archived);
    return body;
  }
}
