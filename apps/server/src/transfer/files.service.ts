import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import type { ClubReply, ImportBody } from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import { Club } from '../domains/clubs/club.entity.js';
import { counted, TooMuch } from '../platform/http/counted.js';
import { accepted, unknown } from '../platform/http/refusals.js';
import { LongWork } from '../platform/work/long-work.js';
import type { Tasks } from './work/worker.js';

/** Built code, also where this file is read as it was written. */
const BUILT = join(import.meta.dirname, '../../dist/transfer/work');
const WORKER = join(BUILT, 'worker.js');
/** Without the services, which take a thread a second to start. */
const IMPORT_CHECK = join(BUILT, 'check-import.js');
/** A packed club of a million reps is below this. */
const MOST_PACKED = 128 * 2 ** 20;
/** Some thousand reps of an import are below this. */
const MOST_IMPORTED = 4 * 2 ** 20;

/** A folder for a file that passes, and for what is put aside while it is written. */
const passing = (): Promise<string> => mkdtemp(join(tmpdir(), 'orthokin-'));
const drop = (folder: string): Promise<void> => rm(folder, { recursive: true, force: true });

/** Whole clubs as files: written and read in threads of their own, through files that pass. */
@Injectable()
export class FilesService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly work: LongWork;

  constructor(
    private readonly em: EntityManager,
    databaseUrl: string,
    private readonly readyThreads: number,
  ) {
    this.work = new LongWork(WORKER, { databaseUrl }, readyThreads);
  }

  /** Whoever takes out their club first after a start would otherwise wait three seconds for a thread. */
  onApplicationBootstrap(): void {
    for (let thread = 0; thread < this.readyThreads; thread++)
      // What keeps it from being ready is said to whoever asks it for something.
      this.work.run('beReady', {} satisfies Tasks['beReady']).catch(() => undefined);
  }

  onModuleDestroy(): Promise<void> {
    return this.work.close();
  }

  /** A file of a club, to be read once. */
  async take(task: 'takeClub' | 'repsTable' | 'setsTable', clubId: string): Promise<Readable> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const folder = await passing();
    const path = join(folder, 'file');
    try {
      await this.work.run<undefined>(task, { clubId, path } satisfies Tasks[typeof task]);
    } catch (error) {
      await drop(folder);
      throw error;
    }
    return createReadStream(path).on('close', () => void drop(folder));
  }

  /** Brings a club in that is not here, from the bytes of its file as they come. */
  bring(bytes: Readable): Promise<ClubReply> {
    return this.from(bytes, MOST_PACKED, (path) =>
      this.work.run<ClubReply>('bringClub', { path } satisfies Tasks['bringClub']),
    );
  }

  /** An import held against its class, from its bytes as they come. */
  import(bytes: Readable): Promise<ImportBody> {
    return this.from(bytes, MOST_IMPORTED, (path) =>
      this.work.runAlone<ImportBody>(IMPORT_CHECK, { path }),
    );
  }

  /** Does something with a file of what comes, which is gone after. */
  private async from<Value>(
    bytes: Readable,
    most: number,
    read: (path: string) => Promise<Value>,
  ): Promise<Value> {
    const folder = await passing();
    const path = join(folder, 'file');
    try {
      await pipeline(bytes, counted(most), createWriteStream(path));
      return await read(path);
    } catch (error) {
      if (!(error instanceof TooMuch)) throw error;
      return accepted(
        wrong('file', `more than ${error.most} bytes`, `at most ${error.most} bytes`),
      );
    } finally {
      await drop(folder);
    }
  }
}
