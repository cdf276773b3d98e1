import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import type { ClubReply } from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import { Club } from '../domains/clubs/club.entity.js';
import { counted, TooMuch } from '../platform/http/counted.js';
import { accepted, unknown } from '../platform/http/refusals.js';
import { LongWork } from '../platform/work/long-work.js';
import type { ImportKey } from './work/storing.service.js';
import type { Tasks } from './work/worker.js';

/** The built files, also when this module runs from source in tests. */
const WORKER = join(import.meta.dirname, '../../dist/transfer/work/worker.js');
/** A packed club of a million reps is below this. */
const MOST_PACKED = 128 * 2 ** 20;
/** An import of some thousand reps is below this. */
const MOST_IMPORTED = 4 * 2 ** 20;

/** A temporary folder for one file, and for what is written beside it meanwhile. */
const passing = (): Promise<string> => mkdtemp(join(tmpdir(), 'orthokin-'));
const drop = (folder: string): Promise<void> => rm(folder, { recursive: true, force: true });

/** Reads and writes club files in worker threads, through temporary files. */
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

  /** Starts a thread in advance: otherwise the first export after a start waits three seconds for one. */
  onApplicationBootstrap(): void {
    for (let thread = 0; thread < this.readyThreads; thread++)
      // If it fails, whoever asks for a file gets the error.
      this.work.run('beReady', {} satisfies Tasks['beReady']).catch(() => undefined);
  }

  onModuleDestroy(): Promise<void> {
    return this.work.close();
  }

  /**
   * Writes a file about a club.
   * @returns the file's content, to be read once
   */
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

  /** Imports a club that does not exist here, from a stream of its file. */
  bring(bytes: Readable): Promise<ClubReply> {
    return this.from(bytes, MOST_PACKED, (path) =>
      this.work.run<ClubReply>('bringClub', { path } satisfies Tasks['bringClub']),
    );
  }

  /** Validates an import from a stream of its body, and keeps it to be stored. */
  keepImport(asked: ImportKey, bytes: Readable): Promise<void> {
    return this.from(bytes, MOST_IMPORTED, (path) =>
      this.work.run<undefined>('keepImport', { ...asked, path } satisfies Tasks['keepImport']),
    );
  }

  /** Stores a kept import. */
  storeImport(asked: ImportKey): Promise<void> {
    return this.work.run<undefined>('storeImport', asked satisfies Tasks['storeImport']);
  }

  /** Saves a stream to a temporary file, and deletes that after `read` is done with it. */
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
