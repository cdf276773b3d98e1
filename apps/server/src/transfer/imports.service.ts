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
/** Sets between two words on how far it is; those since are looked at once more after a restart. */
const AT_ONCE = 60;
/** With three an import is stored no sooner, and whoever times a rep meanwhile waits twice as long. */
const LANES = 2;
/** Reps of a transaction: nobody who times this athlete meanwhile waits for more. */
const REPS_TOGETHER = 100;

type Lane = readonly (readonly [index: number, set: ImportSet])[];

/**
 * An athlete after the other, each with their sets as they were sent: what is known of somebody is worked out anew
 * by whoever looks after some of theirs were stored.
 */
const inOrder = (sets: readonly ImportSet[]): Lane => {
  const each = [...sets.entries()];
  return [...groupBy(each, ([, { body }]) => body.athleteId).values()].flat();
};

/** Some sets, to be stored beside each other: an athlete's stay together, since they would only wait for each other. */
function lanesOf(sets: Lane): Lane[] {
  const athletes = [...new Set(sets.map(([, { body }]) => body.athleteId))];
  return Array.from({ length: Math.min(LANES, athletes.length) }, (_, lane) =>
    sets.filter(([, { body }]) => athletes.indexOf(body.athleteId) % LANES === lane),
  );
}

/** A lane in parts of one athlete each, none of more reps than go together but for a set that has more by itself. */
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
 * Sets timed elsewhere, through the same door as those timed here: looked at all together, then stored
 * a few at a time, so that nobody waits for more than those.
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

  /** A job has no request around it: it needs what is read in it to itself, and the rows of its club, all the same. */
  private aside(asked: Asked, work: () => Promise<void>): Promise<void> {
    return withinClub(asked.clubId, () => RequestContext.create(this.em, work));
  }

  /** Takes an import on, from its bytes as they come. Sent again it changes nothing. */
  async take(clubId: string, id: string, bytes: Readable): Promise<ImportReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const known = await this.found(clubId, id);
    if (!known) await this.keep(clubId, id, await this.files.import(bytes));
    else if (known.state === 'given up') await this.mark({ clubId, id }, { state: 'waiting' });
    await this.jobs.ask(JOB, { clubId, id }, `${clubId} ${id}`);
    return this.progress(clubId, id);
  }

  /** Keeps an import to be stored if all of it can be, as far as that can be told before the first set is. */
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

  /** All of an import but what it is to store. */
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
    // Read apart: with the sets at hand every transaction would look whether one of them has changed.
    const job = await this.em.fork().findOne(ImportJob, { clubId, id });
    // Its club may be gone since, or another process may have done it.
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

  /** Stores a lane part by part; what is wrong with the first that cannot be. */
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
      // What is there already may be this very set, or another one under its id: one by one that shows.
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
