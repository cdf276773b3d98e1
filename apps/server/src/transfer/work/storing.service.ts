import { EntityManager } from '@mikro-orm/postgresql';
import { HttpException, Injectable } from '@nestjs/common';
import type { ImportBody, ImportSet, RefusalReply } from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';
import { groupBy } from '@orthokin/core/stats';
import { WholeSetsService } from '../../domains/drills/whole-sets.service.js';
import { ImportJob } from '../../domains/imports/import-job.entity.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { Unreadable } from './unpack.js';

const problemsUnder = (error: HttpException, field: string): Problem[] => {
  const { problems = [] } = error.getResponse() as Partial<RefusalReply>;
  return problems.map((problem) => ({ ...problem, field: `${field}.${problem.field}` }));
};

/** Sets between two progress updates. After a restart the sets since the last update are checked again. */
const AT_ONCE = 60;
/** Reps per transaction, which bounds how long somebody recording a rep for this athlete waits. */
const REPS_TOGETHER = 60;

/** Sets in the order they are stored in, each with its place in the import. */
type InOrder = readonly (readonly [index: number, set: ImportSet])[];

/**
 * Groups the sets by athlete: cached figures of an athlete are stale after each stored part, and would otherwise be
 * worked out again for everybody after each part.
 */
const inOrder = (sets: readonly ImportSet[]): InOrder => {
  const each = [...sets.entries()];
  return [...groupBy(each, ([, { body }]) => body.athleteId).values()].flat();
};

/**
 * Splits sets that are {@link inOrder} into transactions of one athlete and at most {@link REPS_TOGETHER} reps, unless
 * a single set has more.
 */
function partsOf(sets: InOrder): InOrder[] {
  const parts: (readonly [index: number, set: ImportSet])[][] = [];
  let reps = 0;
  for (const each of sets) {
    const [, { body, reps: more }] = each;
    const part = parts.at(-1);
    reps += more.length;
    if (part?.[0]?.[1].body.athleteId === body.athleteId && reps <= REPS_TOGETHER) part.push(each);
    else {
      parts.push([each]);
      reps = more.length;
    }
  }
  return parts;
}

/** Identifies an import. */
export interface ImportKey {
  readonly clubId: string;
  readonly id: string;
}

/**
 * Stores imports, in a worker thread: as JSON an import is a megabyte, and what is done with all of it would each time
 * hold up the server.
 */
@Injectable()
export class StoringService {
  constructor(
    private readonly em: EntityManager,
    private readonly sets: WholeSetsService,
  ) {}

  /**
   * Keeps an import for {@link store}, if everything that can be validated before storing is valid.
   * @throws Unreadable otherwise
   */
  async keep({ clubId, id }: ImportKey, { sets }: ImportBody): Promise<void> {
    const wrong = await this.sets.firstWrong(clubId, sets);
    if (wrong)
      throw new Unreadable(
        problemsUnder(wrong.error, `sets[${wrong.at}]`),
        wrong.error.getStatus(),
      );
    const reps = sets.reduce((sum, each) => sum + each.reps.length, 0);
    await insertOnce(this.em, ImportJob, {
      ...{ clubId, id, sets: sets.length, reps, done: 0, state: 'waiting', problems: [] },
      body: sets,
    });
  }

  private async mark(job: ImportKey, now: Partial<ImportJob>): Promise<void> {
    await this.em.fork().nativeUpdate(ImportJob, { ...job }, now);
  }

  /** Stores what is left of a kept import, in short transactions, so that nobody else waits long for a lock. */
  async store({ clubId, id }: ImportKey): Promise<void> {
    // In a fork: otherwise each transaction would compare the large body for changes.
    const job = await this.em.fork().findOne(ImportJob, { clubId, id });
    // The club may have been deleted, or another process may have finished the job.
    if (!job || job.state === 'stored' || job.state === 'refused') return;
    const sets = inOrder(job.body);
    for (let from = job.done; from < job.sets; from += AT_ONCE) {
      const some = sets.slice(from, from + AT_ONCE);
      const problems = await this.storeParts(clubId, some);
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
   * Stores sets part by part, one after another: two at a time are no faster, and whoever records a rep meanwhile waits
   * longer.
   * @returns the problems of the first part that cannot be stored
   */
  private async storeParts(clubId: string, sets: InOrder): Promise<Problem[]> {
    for (const part of partsOf(sets)) {
      const problems = await this.storePart(clubId, part);
      if (problems.length > 0) return problems;
    }
    return [];
  }

  private async storePart(clubId: string, part: InOrder): Promise<Problem[]> {
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
