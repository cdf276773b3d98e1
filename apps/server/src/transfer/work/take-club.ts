import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import { CLUB_FORMAT, CLUB_FORMAT_VERSION, type ClubList } from '@orthokin/contract';
import { ZipFile } from 'yazl';
import { Club } from '../../domains/clubs/club.entity.js';
import type { ClubPart } from '../../domains/club-part.js';
import { CLUB_LIST_NAMES, CLUB_PARTS } from '../parts.js';
import type { TablesService } from '../tables.service.js';
import { CLUB_JSON, linesOf } from './bring-club.js';

async function* jsonLines(pages: AsyncIterable<readonly unknown[]>): AsyncIterable<string> {
  for await (const rows of pages) yield rows.map((row) => `${JSON.stringify(row)}\n`).join('');
}

/** The whole club: lists to be read back, and tables for people; written as it is read. */
export async function takeClub(
  em: EntityManager,
  tables: TablesService,
  clubId: string,
  path: string,
): Promise<void> {
  const { name, sport, unit, faults } = await em.findOneOrFail(Club, { clubId });
  const zip = new ZipFile();
  const head = {
    format: CLUB_FORMAT,
    version: CLUB_FORMAT_VERSION,
    club: { clubId, name, sport, unit, faults },
  };
  zip.addBuffer(Buffer.from(JSON.stringify(head, null, 1)), CLUB_JSON);
  const files: (readonly [name: string, text: AsyncIterable<string>])[] = [
    ...CLUB_LIST_NAMES.map((list) => {
      const part = CLUB_PARTS[list] as ClubPart<ClubList>;
      return [linesOf(list), jsonLines(part.take(em, clubId))] as const;
    }),
    ['reps.csv', tables.repsOfClub(clubId)],
    ['sets.csv', tables.setsOfClub(clubId)],
  ];
  for (const [file, text] of files)
    zip.addReadStreamLazy(file, (done) => done(null, Readable.from(text)));
  zip.addBuffer(Buffer.from(await tables.athletesOfClub(clubId)), 'athletes.csv');
  zip.addBuffer(Buffer.from(tables.repDictionary()), 'reps-dictionary.csv');
  zip.addBuffer(Buffer.from(tables.setDictionary()), 'sets-dictionary.csv');
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
}
