import type { Readable } from 'node:stream';
import { EntityManager, RequestContext } from '@mikro-orm/postgresql';
import { HttpException, Injectable } from '@nestjs/common';
import type { ImportBody, ImportReply, ImportSet, RefusalReply } from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';
import { groupBy } from '@orthokin/core/stats';
import { Club } from '../domains/clubs/club.entity.js';
import { WholeSetsService } from '../domains/drills/whole-sets.service.js';
import { withinClub } from '../platform/auth/scope.js';
import { refuseWith, unknown } from '../platform/http/refusals.js';
import { Jobs } from '../platform/jobs/jobs.js';
import { insertOnce } from '../platform/storage/insert-once.js';
import { FilesService } from './files.service.js';
import { ImportJob } from '../domains/imports/import-job.entity.js';

const problemsUnder = (error: HttpException, field: string): Problem[] => {
  const { problems = [] } = error.getResponse() as Partial<RefusalReply>;
  return problems.map((problem) => ({ ...problem, field: `${field}.${problem.field}` }));
};

const JOB = 'import';
/** Sets between two progress updates. After a restart the sets since the last update are checked again. */
const AT_ONCE = 60;
/** Parallel transactions. Three are no faster, and double the wait of a rep recorded meanwhile. */
const LANES = 2;
/** Reps per transaction, which bounds how long somebody recording a rep for this athlete waits. */
const REPS_TOGETHER = 100;

type Lane = readonly (readonly [index: number, set: ImportSet])[];

/**
 * Groups the sets by athlete: cached figures of an athlete are stale after each stored part, and would otherwise be
 * worked out again for everybody after each part.
 */
const inOrder = (sets: readonly ImportSet[]): Lane => {
  const each = [...sets.entries()];
  return [...groupBy(each, ([, { body }]) => body.athleteId).values()].flat();
};

/**
 * Distributes sets over lanes stored in parallel. An athlete's sets share a lane, since they would only wait for each
 * other's locks.
 */
function lanesOf(sets: Lane): Lane[] {
  const athletes = [...new Set(sets.map(([, { body }]) => body.athleteId))];
  return Array.from({ length: Math.min(LANES, athletes.length) }, (_, lane) =>
    sets.filter(([, { body }]) => athletes.indexOf(body.athleteId) % LANES === lane),
  );
}

/**
 * Splits a lane into transactions of one athlete and at most {@link REPS_TOGETHER} reps, unless a single set has
 * more.
 */
function togetherIn(lane: Lane): Lane[] {
  const parts: Lane[] = [];
  for (const sets of groupBy(lane, ([, { body }]) => body.athleteId).values()) {
    let [part, reps]: [Lane, number] = [[], 0];
    for (const each of sets) {
      const more = each[1].reps.length;
      if (part.length > 0 && reps + more > REPS_TOGETHER) {
        parts.push(part);
        [part, reps] = [[], 0];
      }
      [part, reps] = [[...part, each], reps + more];
    }
    parts.push(part);
  }
  return parts;
}

interface Asked {
  readonly clubId: string;
  readonly id: string;
}

/**
 * Imports sets that were timed elsewhere. All are validated first, then stored in short transactions, so that nobody
 * else waits long for a lock.
 */
@Injectable()
export class ImportsService {
  constructor(
    private readonly em: EntityManager,
    private readonly sets: WholeSetsService,
    private readonly files: FilesService,
    private readonly jobs: Jobs,
  ) {
    jobs.does(JOB, {
      work: (asked) => this.aside(asked as Asked, () => this.store(asked as Asked)),
      gaveUp: (asked) =>
        this.aside(asked as Asked, () => this.mark(asked as Asked, { state: 'given up' })),
    });
  }

  /** Runs a job with an ORM context and a club scope of its own, since it has no request to provide them. */
  private aside(asked: Asked, work: () => Promise<void>): Promise<void> {
    return withinClub(asked.clubId, () => RequestContext.create(this.em, work));
  }

  /** Accepts an import from a stream of its body. Sending the same again changes nothing. */
  async take(clubId: string, id: string, bytes: Readable): Promise<ImportReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const known = await this.found(clubId, id);
    if (!known) await this.keep(clubId, id, await this.files.import(bytes));
    else if (known.state === 'given up') await this.mark({ clubId, id }, { state: 'waiting' });
    await this.jobs.ask(JOB, { clubId, id }, `${clubId} ${id}`);
    return this.progress(clubId, id);
  }

  /** Stores the import as a job, if everything that can be validated before storing is valid. */
  private async keep(clubId: string, id: string, { sets }: ImportBody): Promise<void> {
    const wrong = await this.sets.firstWrong(clubId, sets);
    if (wrong)
      throw refuseWith(wrong.error.getStatus(), problemsUnder(wrong.error, `sets[${wrong.at}]`));
    const reps = sets.reduce((sum, each) => sum + each.reps.length, 0);
    await insertOnce(this.em, ImportJob, {
      ...{ clubId, id, sets: sets.length, reps, done: 0, state: 'waiting', problems: [] },
      body: sets,
    });
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

  private async mark(job: Asked, now: Partial<ImportJob>): Promise<void> {
    await this.em.fork().nativeUpdate(ImportJob, { ...job }, now);
  }

  private async store({ clubId, id }: Asked): Promise<void> {
    // In a fork: otherwise each transaction would compare the large body for changes.
    const job = await this.em.fork().findOne(ImportJob, { clubId, id });
    // The club may have been deleted, or another process may have finished the job.
    if (!job || job.state === 'stored' || job.state === 'refused') return;
    const sets = inOrder(job.body);
    for (let from = job.done; from < job.sets; from += AT_ONCE) {
      const some = sets.slice(from, from + AT_ONCE);
      const problems = (
        await Promise.all(lanesOf(some).map((lane) => this.storeLane(clubId, lane)))
      ).flat();
      if (problems.length > 0) {
        await this.mark({ clubId, id }, { state: 'refused', problems });
        return;
      }
      await this.mark(
        { clubId, id },
        { state: 'storing', done: Math.min(job.sets, from + AT_ONCE) },
      );
    }
    await this.mark({ clubId, id }, { state: 'stored', done: job.sets, body: [] });
  }

  /**
   * Stores a lane part by part.
   * @returns the problems of the first part that cannot be stored
   */
  private async storeLane(clubId: string, lane: Lane): Promise<Problem[]> {
    for (const part of togetherIn(lane)) {
      const problems = await this.storePart(clubId, part);
      if (problems.length > 0) return problems;
    }
    return [];
  }

  private async storePart(clubId: string, part: Lane): Promise<Problem[]> {
    const [first] = part;
    if (!first) return [];
    let [at] = first;
    try {
      const sets = part.map(([, set]) => set);
      const { athleteId } = first[1].body;
      const stored = await this.sets.storeNew(clubId, athleteId, sets);
      // A taken id may belong to this very set or to a different one; storing one by one tells which.
      for (const [i, set] of part) {
        at = i;
        if (!stored.has(set.id)) await this.sets.storeAgain(clubId, set);
      }
      return [];
    } catch (error) {
      if (!(error instanceof HttpException)) throw error;
      return problemsUnder(error, `sets[${at}]`);
    }
  }
}
