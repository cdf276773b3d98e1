import type { Readable } from 'node:stream';
import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ImportReply } from '@orthokin/contract';
import { Club } from '../domains/clubs/club.entity.js';
import { ImportJob } from '../domains/imports/import-job.entity.js';
import { withinClub } from '../platform/auth/scope.js';
import { unknown } from '../platform/http/refusals.js';
import { Jobs } from '../platform/jobs/jobs.js';
import { FilesService } from './files.service.js';
import type { ImportKey } from './work/storing.service.js';

const JOB = 'import';

/** Imports sets that were timed elsewhere. All are validated first, then stored as a job. */
@Injectable()
export class ImportsService {
  constructor(
    private readonly em: EntityManager,
    private readonly files: FilesService,
    private readonly jobs: Jobs,
  ) {
    jobs.does(JOB, {
      work: (asked) => this.files.storeImport(asked as ImportKey),
      gaveUp: (asked) => this.giveUp(asked as ImportKey),
    });
  }

  /** In a club scope of its own, since a job has no request to provide one. */
  private giveUp(asked: ImportKey): Promise<void> {
    return withinClub(asked.clubId, () => this.mark(asked, 'given up'));
  }

  /** Accepts an import from a stream of its body. Sending the same again changes nothing. */
  async take(clubId: string, id: string, bytes: Readable): Promise<ImportReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const known = await this.found(clubId, id);
    if (!known) await this.files.keepImport({ clubId, id }, bytes);
    else if (known.state === 'given up') await this.mark({ clubId, id }, 'waiting');
    await this.jobs.ask(JOB, { clubId, id }, `${clubId} ${id}`);
    return this.progress(clubId, id);
  }

  async progress(clubId: string, id: string): Promise<ImportReply> {
    const job = await this.found(clubId, id);
    if (!job) throw unknown('importId', id, 'an import');
    const { state, sets, reps, done, problems } = job;
    return { id, state, sets, reps, done, problems: [...problems] };
  }

  /** An import without its body. */
  private found(clubId: string, id: string) {
    return this.em
      .fork()
      .findOne(
        ImportJob,
        { clubId, id },
        { fields: ['state', 'sets', 'reps', 'done', 'problems'] },
      );
  }

  private async mark(job: ImportKey, state: 'waiting' | 'given up'): Promise<void> {
    await this.em.fork().nativeUpdate(ImportJob, { ...job }, { state });
  }
}
