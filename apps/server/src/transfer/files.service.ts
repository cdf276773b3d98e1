import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { EntityManager } from '@mikro-orm/postgresql';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { ClubReply } from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { Club } from '../domains/clubs/club.entity.js';
import { counted, TooMuch } from '../platform/http/counted.js';
import { accepted, conflict, unknown } from '../platform/http/refusals.js';
import { DATABASE_URL } from '../platform/database/database-url.js';
import { LongWork } from '../platform/work/long-work.js';
import type { Tasks } from './work/worker.js';

/** Built code, also where this file is read as it was written. */
const WORKER = join(import.meta.dirname, '../../dist/transfer/work/worker.js');
/** A packed club of a million reps is below this. */
const MOST_PACKED = 128 * 2 ** 20;

const passing = (): string => join(tmpdir(), `orthokin-${randomUUID()}`);

/** Whole clubs as files: written and read in threads of their own, through files that pass. */
@Injectable()
export class FilesService implements OnModuleDestroy {
  private readonly work: LongWork;

  constructor(
    private readonly em: EntityManager,
    @Inject(DATABASE_URL) databaseUrl: string,
  ) {
    this.work = new LongWork(WORKER, { databaseUrl });
  }

  onModuleDestroy(): Promise<void> {
    return this.work.close();
  }

  /** A file of a club, to be read once. */
  async take(task: 'takeClub' | 'repsTable' | 'setsTable', clubId: string): Promise<Readable> {
    await this.club(clubId);
    const path = passing();
    const drop = () => void rm(path, { force: true });
    try {
      await this.work.run<undefined>(task, { clubId, path } satisfies Tasks[typeof task]);
    } catch (error) {
      drop();
      throw error;
    }
    return createReadStream(path).on('close', drop);
  }

  /** Brings a club in that is not here, from the bytes of its file as they come. */
  async bring(bytes: Readable): Promise<ClubReply> {
    const path = passing();
    try {
      await pipeline(bytes, counted(MOST_PACKED), createWriteStream(path));
      return await this.work.run<ClubReply>('bringClub', { path } satisfies Tasks['bringClub']);
    } catch (error) {
      if (!(error instanceof TooMuch)) throw error;
      return accepted(
        wrong('file', `more than ${error.most} bytes`, `at most ${error.most} bytes`),
      );
    } finally {
      await rm(path, { force: true });
    }
  }

  /** Takes a whole club away; its name must be said. */
  async wipe(clubId: string, name: string): Promise<void> {
    const club = await this.club(clubId);
    if (club.name !== name) throw conflict('name', name, `${club.name}, the name of this club`);
    await this.em.transactional(async (em) => {
      // Whoever records a rep holds the athlete: they come before or after, never in between.
      await em.execute('select id from athlete where club_id = ? order by id for update', [clubId]);
      await em.nativeDelete(Athlete, { clubId });
      await em.nativeDelete(Club, { clubId });
    });
  }

  private async club(clubId: string): Promise<Club> {
    const club = await this.em.findOne(Club, { clubId });
    if (!club) throw unknown('clubId', clubId, 'a club');
    return club;
  }
}
