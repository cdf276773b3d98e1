import { createReadStream, createWriteStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import { CLUB_FORMAT, CLUB_FORMAT_VERSION, type ClubList } from '@orthokin/contract';
import { ZipFile } from 'yazl';
import { Club } from '../../domains/clubs/club.entity.js';
import type { ClubPart } from '../../domains/club-part.js';
import { repLine } from '../../domains/drills/drills.part.js';
import { CLUB_LIST_NAMES, CLUB_PARTS } from '../parts.js';
import type { TablesService } from '../tables.service.js';
import { CLUB_JSON, linesOf } from './bring-club.js';

const REPS_TABLE = 'reps.csv';
/**
 * A sixth larger than at the default level 6, in less than half the time; for a large club that frees a second of CPU
 * for others.
 */
const LIGHTLY = { compressionLevel: 3 } as const;

/** Bytes read at once of a file written before: each piece passes through five streams. */
const LARGE_PIECES = 2 ** 19;

const lines = (rows: readonly object[]): string =>
  rows.map((row) => `${JSON.stringify(row)}\n`).join('');

async function* linesOfAll(pages: AsyncIterable<readonly object[]>): AsyncIterable<string> {
  for await (const rows of pages) yield lines(rows);
}

/**
 * The lines of a club's reps. Their CSV is written to a file `aside` at the same time, because reading them takes
 * longest.
 */
async function* repLines(
  tables: TablesService,
  clubId: string,
  aside: string,
): AsyncIterable<string> {
  const file = await open(aside, 'w');
  try {
    for await (const { reps, table } of tables.repPages(clubId)) {
      const written = file.appendFile(table);
      // Awaited below; until then a rejection must not count as unhandled.
      written.catch(() => undefined);
      yield reps.map(repLine).join('');
      await written;
    }
  } finally {
    await file.close();
  }
}

/**
 * Writes a club's zip: lists that can be imported again, and tables for people.
 * @param path of the zip, in a folder of its own
 */
export async function takeClub(
  em: EntityManager,
  tables: TablesService,
  clubId: string,
  path: string,
): Promise<void> {
  const { name, sport, unit, faults } = await em.findOneOrFail(Club, { clubId });
  const zip = new ZipFile();
  // Without this a failing list would end the thread with an uncaught error.
  zip.on('error', (error: Error) => (zip.outputStream as Readable).destroy(error));
  const head = {
    format: CLUB_FORMAT,
    version: CLUB_FORMAT_VERSION,
    club: { clubId, name, sport, unit, faults },
  };
  zip.addBuffer(Buffer.from(JSON.stringify(head, null, 1)), CLUB_JSON);
  const aside = join(dirname(path), REPS_TABLE);
  const linesIn = (list: ClubList): AsyncIterable<string> =>
    list === 'reps'
      ? repLines(tables, clubId, aside)
      : linesOfAll((CLUB_PARTS[list] as ClubPart<ClubList>).take(em, clubId));
  // yazl reads them one after another, so the CSV of reps is complete when its turn comes.
  const files: (readonly [name: string, text: () => Readable])[] = [
    ...CLUB_LIST_NAMES.map((list) => [linesOf(list), () => Readable.from(linesIn(list))] as const),
    [REPS_TABLE, () => createReadStream(aside, { highWaterMark: LARGE_PIECES })],
    ['sets.csv', () => Readable.from(tables.setsOfClub(clubId))],
  ];
  for (const [file, text] of files)
    zip.addReadStreamLazy(file, LIGHTLY, (done) => done(null, text()));
  zip.addBuffer(Buffer.from(await tables.athletesOfClub(clubId)), 'athletes.csv');
  zip.addBuffer(Buffer.from(tables.repDictionary()), 'reps-dictionary.csv');
  zip.addBuffer(Buffer.from(tables.setDictionary()), 'sets-dictionary.csv');
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
}
