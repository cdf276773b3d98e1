import {
  applyDecorators,
  Body,
  Controller,
  Header,
  HttpCode,
  Param,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOkResponse } from '@nestjs/swagger';
import {
  AthletePath,
  ClubPath,
  PatternVersionPath,
  ClubReply,
  ErasureBody,
  ImportBody,
  ImportReply,
  NewImportPath,
  SetPath,
  WipeBody,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { wrong } from '@orthokin/core/result';
import { Readable } from 'node:stream';
import type { Request } from 'express';
import { accepted } from '../platform/http/refusals.js';
import { Serves } from '../platform/http/serves.js';
import { ErasingService } from './erasing.service.js';
import { FilesService } from './files.service.js';
import { PersonFileService } from './person-file.service.js';
import { ImportsService } from './imports.service.js';
import { TakingOutService } from './taking-out.service.js';
import { TablesService } from './tables.service.js';

const ZIP = 'application/zip';
const JSON_BODY = 'application/json';

/**
 * The request, for streaming its body.
 * @throws if it has another content type
 */
function inKind(request: Request, kind: string): Request {
  if (!request.is(kind))
    accepted(wrong('Content-Type', request.headers['content-type'] ?? 'nothing', kind));
  return request;
}

/** Marks a reply as a CSV download. */
const Table = (name: string): MethodDecorator =>
  applyDecorators(
    ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } }),
    Header('Content-Type', 'text/csv; charset=utf-8'),
    Header('Content-Disposition', `attachment; filename="orthokin-${name}.csv"`),
  );

/** Downloads and uploads of a club's data. */
@Controller()
export class TransferController {
  constructor(
    private readonly files: FilesService,
    private readonly tables: TablesService,
    private readonly imports: ImportsService,
    private readonly takingOut: TakingOutService,
    private readonly erasing: ErasingService,
    private readonly people: PersonFileService,
  ) {}

  @Serves(ROUTES.repsOfSet)
  @Table('reps')
  repsOfSet(@Param() { clubId, setId }: SetPath): Promise<string> {
    return this.tables.repsOfSet(clubId, setId);
  }

  @Serves(ROUTES.repsOfClub)
  @Table('reps')
  async repsOfClub(@Param() { clubId }: ClubPath): Promise<StreamableFile> {
    return new StreamableFile(await this.files.take('repsTable', clubId));
  }

  @Serves(ROUTES.setsOfClub)
  @Table('sets')
  async setsOfClub(@Param() { clubId }: ClubPath): Promise<StreamableFile> {
    return new StreamableFile(await this.files.take('setsTable', clubId));
  }

  @Serves(ROUTES.athletesOfClub)
  @Table('athletes')
  athletesOfClub(@Param() { clubId }: ClubPath): Promise<string> {
    return this.tables.athletesOfClub(clubId);
  }

  @Serves(ROUTES.repDictionary)
  @Table('reps-dictionary')
  repDictionary(): string {
    return this.tables.repDictionary();
  }

  @Serves(ROUTES.setDictionary)
  @Table('sets-dictionary')
  setDictionary(): string {
    return this.tables.setDictionary();
  }

  /** A zip of the whole club: lists that can be imported again, and tables for people. */
  @Serves(ROUTES.clubFile)
  @ApiOkResponse({ content: { [ZIP]: { schema: { type: 'string', format: 'binary' } } } })
  @Header('Content-Type', ZIP)
  @Header('Content-Disposition', 'attachment; filename="orthokin-club.zip"')
  async take(@Param() { clubId }: ClubPath): Promise<StreamableFile> {
    return new StreamableFile(await this.files.take('takeClub', clubId));
  }

  /** Everything stored about one athlete. */
  @Serves(ROUTES.athleteFile)
  @ApiOkResponse({ content: { [JSON_BODY]: { schema: { type: 'object' } } } })
  @Header('Content-Type', `${JSON_BODY}; charset=utf-8`)
  @Header('Content-Disposition', 'attachment; filename="orthokin-athlete.json"')
  async athleteFile(@Param() { clubId, athleteId }: AthletePath): Promise<StreamableFile> {
    return new StreamableFile(Readable.from(await this.people.of(clubId, athleteId)));
  }

  @Serves(ROUTES.bringClub, { gives: ClubReply })
  @HttpCode(200)
  @ApiConsumes(ZIP)
  @ApiBody({
    description: 'A club.zip as it was taken out.',
    schema: { type: 'string', format: 'binary' },
  })
  bring(@Req() request: Request): Promise<ClubReply> {
    return this.files.bring(inKind(request, ZIP));
  }

  @Serves(ROUTES.wipeClub, { takes: WipeBody })
  async wipe(@Param() { clubId }: ClubPath, @Body() { name }: WipeBody): Promise<object> {
    await this.takingOut.club(clubId, name);
    return {};
  }

  @Serves(ROUTES.takeOutSet)
  async takeOutSet(@Param() { clubId, setId }: SetPath): Promise<object> {
    await this.takingOut.set(clubId, setId);
    return {};
  }

  @Serves(ROUTES.eraseAthlete, { takes: ErasureBody })
  async eraseAthlete(
    @Param() { clubId, athleteId }: AthletePath,
    @Body() { how }: ErasureBody,
  ): Promise<object> {
    await this.erasing.erase(clubId, athleteId, how ?? 'removed');
    return {};
  }

  @Serves(ROUTES.takeOutVersion)
  async takeOutVersion(
    @Param() { clubId, patternId, version }: PatternVersionPath,
  ): Promise<object> {
    await this.takingOut.version(clubId, patternId, version);
    return {};
  }

  @Serves(ROUTES.importSets, { takes: ImportBody, gives: ImportReply })
  importSets(
    @Param() { clubId, importId }: NewImportPath,
    @Req() request: Request,
  ): Promise<ImportReply> {
    return this.imports.take(clubId, importId, inKind(request, JSON_BODY));
  }

  @Serves(ROUTES.importProgress, { gives: ImportReply })
  importProgress(@Param() { clubId, importId }: NewImportPath): Promise<ImportReply> {
    return this.imports.progress(clubId, importId);
  }
}
