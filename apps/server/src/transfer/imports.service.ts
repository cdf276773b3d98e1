import { EntityManager, RequestContext } from '@mikro-orm/postgresql';
import { HttpException, Injectable } from '@nestjs/common';
import type { ImportBody, ImportReply, ImportSet, RefusalReply } from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';
import { Club } from '../domains/clubs/club.entity.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import { refuseWith, unknown } from '../platform/http/refusals.js';
import { Jobs } from '../platform/jobs/jobs.js';
import { insertOnce } from '../platform/storage/insert-once.js';
import { ImportJob } from './import-job.entity.js';

const JOB = 'import';

interface Asked {
  readonly clubId: string;
  readonly id: string;
}

const problemsOf = (error: HttpException, field: string): Problem[] => {
  const { problems = [] } = error.getResponse() as Partial<RefusalReply>;
  return problems.map((problem) => ({ ...problem, field: `${field}.${problem.field}` }));
};

/**
 * Sets timed elsewhere, through the same door as those timed here: looked at all together, then stored
 * one after another, so that nobody waits for more than one of them.
 */
@Injectable()
export class ImportsService {
  constructor(
    private readonly em: EntityManager,
    private readonly drills: DrillsService,
    private readonly jobs: Jobs,
  ) {
    // A job has no request around it, and needs what is read in it to itself all the same.
    jobs.does(JOB, (asked) => RequestContext.create(em, () => this.store(asked as Asked)));
  }

  /** Takes an import on. Sent again it changes nothing. */
  async take(clubId: string, id: string, { sets }: ImportBody): Promise<ImportReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const known = await this.em.findOne(ImportJob, { clubId, id });
    if (!known) {
      for (const [i, set] of sets.entries()) await this.check(clubId, set, `sets[${i}]`);
      const reps = sets.reduce((sum, each) => sum + each.reps.length, 0);
      await insertOnce(this.em, ImportJob, {
        ...{ clubId, id, sets: sets.length, reps, done: 0, state: 'waiting', problems: [] },
        body: sets,
      });
    }
    await this.jobs.ask(JOB, { clubId, id }, `${clubId} ${id}`);
    return this.progress(clubId, id);
  }

  async progress(clubId: string, id: string): Promise<ImportReply> {
    const job = await this.em
      .fork()
      .findOne(
        ImportJob,
        { clubId, id },
        { fields: ['state', 'sets', 'reps', 'done', 'problems'] },
      );
    if (!job) throw unknown('importId', id, 'an import');
    const { state, sets, reps, done, problems } = job;
    return { id, state, sets, reps, done, problems: [...problems] };
  }

  /** Whether a set could be stored, as far as that can be told before the first is. */
  private async check(clubId: string, { id, body, reps }: ImportSet, field: string): Promise<void> {
    try {
      await this.drills.checkWhole(clubId, id, body, reps);
    } catch (error) {
      if (!(error instanceof HttpException)) throw error;
      throw refuseWith(error.getStatus(), problemsOf(error, field));
    }
  }

  private async store({ clubId, id }: Asked): Promise<void> {
    const { em } = this;
    const job = await em.findOne(ImportJob, { clubId, id });
    // Its club may be gone since, or another process may have done it.
    if (!job || job.state === 'stored' || job.state === 'refused') return;
    for (const [i, set] of job.body.entries()) {
      if (i < job.done) continue;
      try {
        await this.drills.storeWhole(clubId, set.id, set.body, set.reps, set.endedAt);
      } catch (error) {
        if (!(error instanceof HttpException)) throw error;
        const problems = problemsOf(error, `sets[${i}]`);
        await em.nativeUpdate(ImportJob, { clubId, id }, { state: 'refused', problems });
        return;
      }
      await em.nativeUpdate(ImportJob, { clubId, id }, { state: 'storing', done: i + 1 });
    }
    await em.nativeUpdate(ImportJob, { clubId, id }, { state: 'stored', body: [] });
  }
}
