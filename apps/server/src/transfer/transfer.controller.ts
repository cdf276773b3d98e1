import {
  applyDecorators,
  Body,
  Controller,
  Header,
  HttpCode,
  Param,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiOkResponse } from '@nestjs/swagger';
import {
  ClubPath,
  ClubReply,
  ImportBody,
  ImportReply,
  SetPath,
  WipeBody,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { wrong } from '@orthokin/core/result';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { accepted } from '../platform/http/refusals.js';
import { Serves } from '../platform/http/serves.js';
import { ClubFileService } from './club-file.service.js';
import { ImportsService } from './imports.service.js';
import { TablesService } from './tables.service.js';

const ZIP = 'application/zip';
const CLUB_JSON = 'club.json';
/** A club unpacked is well below this; a zip made to burst a server is not. */
const MOST_UNPACKED = 512 * 2 ** 20;

/** A reply that is a table to keep. */
const Table = (name: string): MethodDecorator =>
  applyDecorators(
    ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } }),
    Header('Content-Type', 'text/csv; charset=utf-8'),
    Header('Content-Disposition', `attachment; filename="orthokin-${name}.csv"`),
  );

/** What leaves the club as files, and what comes in by them. */
@Controller()
export class TransferController {
  constructor(
    private readonly clubs: ClubFileService,
    private readonly tables: TablesService,
    private readonly imports: ImportsService,
  ) {}

  @Serves(ROUTES.repsOfSet)
  @Table('reps')
  repsOfSet(@Param() { clubId, setId }: SetPath): Promise<string> {
    return this.tables.repsOfSet(clubId, setId);
  }

  @Serves(ROUTES.repsOfClub)
  @Table('reps')
  repsOfClub(@Param() { clubId }: ClubPath): Promise<string> {
    return this.tables.repsOfClub(clubId);
  }

  @Serves(ROUTES.setsOfClub)
  @Table('sets')
  setsOfClub(@Param() { clubId }: ClubPath): Promise<string> {
    return this.tables.setsOfClub(clubId);
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

  /** The whole club: one file to be read back, and tables for people. */
  @Serves(ROUTES.clubFile)
  @ApiOkResponse({ content: { [ZIP]: { schema: { type: 'string', format: 'binary' } } } })
  @Header('Content-Type', ZIP)
  @Header('Content-Disposition', 'attachment; filename="orthokin-club.zip"')
  async take(@Param() { clubId }: ClubPath): Promise<StreamableFile> {
    const zip = zipSync({
      [CLUB_JSON]: strToU8(JSON.stringify(await this.clubs.take(clubId), null, 1)),
      'reps.csv': strToU8(await this.tables.repsOfClub(clubId)),
      'reps-dictionary.csv': strToU8(this.tables.repDictionary()),
      'sets.csv': strToU8(await this.tables.setsOfClub(clubId)),
      'sets-dictionary.csv': strToU8(this.tables.setDictionary()),
    });
    return new StreamableFile(zip);
  }

  @Serves(ROUTES.bringClub, { gives: ClubReply })
  @HttpCode(200)
  @ApiBody({ description: 'A club.zip as it was taken out (application/zip).' })
  bring(@Body() body: unknown): Promise<ClubReply> {
    return this.clubs.bring(clubJsonIn(body));
  }

  @Serves(ROUTES.wipeClub, { takes: WipeBody })
  async wipe(@Param() { clubId }: ClubPath, @Body() { name }: WipeBody): Promise<object> {
    await this.clubs.wipe(clubId, name);
    return {};
  }

  @Serves(ROUTES.importSets, { takes: ImportBody, gives: ImportReply })
  importSets(@Param() { clubId }: ClubPath, @Body() body: ImportBody): Promise<ImportReply> {
    return this.imports.store(clubId, body);
  }
}

function clubJsonIn(body: unknown): unknown {
  const allowed = `a zip with ${CLUB_JSON} in it, as it was taken out`;
  if (!Buffer.isBuffer(body)) return accepted(wrong('file', typeof body, allowed));
  try {
    const files = unzipSync(new Uint8Array(body), {
      filter: ({ name, originalSize }) => name === CLUB_JSON && originalSize < MOST_UNPACKED,
    });
    const found = files[CLUB_JSON];
    return found
      ? (JSON.parse(strFromU8(found)) as unknown)
      : accepted(wrong('file', `no ${CLUB_JSON}`, allowed));
  } catch (error) {
    if (error instanceof SyntaxError || !(error instanceof Error) || !('status' in error))
      return accepted(wrong('file', 'what cannot be unpacked and read', allowed));
    throw error;
  }
}
