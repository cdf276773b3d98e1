import { EntityManager } from '@mikro-orm/postgresql';
import { HttpException, Injectable } from '@nestjs/common';
import type { DrillSetBody, RepBody } from '@orthokin/contract';
import type { Pattern } from '@orthokin/core/pattern';
import { accepted, conflict, unknown } from '../../platform/http/refusals.js';
import { piecemeal } from '../../platform/work/piecemeal.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { holdAthlete } from '../athletes/hold-athletes.js';
import { Changes } from '../changes.js';
import { PatternsService, versionKey } from '../patterns/patterns.service.js';
import { repsPart } from './drills.part.js';
import { insertSets } from './gathered.js';
import { DrillsService } from './drills.service.js';
import { checkAgainst, checkRep, within } from './set-checks.js';

/** A rep of a complete set. */
interface WholeRep {
  readonly id: string;
  readonly body: RepBody;
}

/** A complete set with its reps. */
export interface WholeSet {
  readonly id: string;
  readonly body: DrillSetBody;
  readonly reps: readonly WholeRep[];
  readonly endedAt: string;
}

const versionOf = ({ patternId, patternVersion }: DrillSetBody) => ({
  patternId,
  version: patternVersion,
});

/** Stores complete sets in bulk. */
@Injectable()
export class WholeSetsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly changes: Changes,
    private readonly drills: DrillsService,
  ) {}

  /**
   * Checks sets with all their reps, without storing anything.
   * @returns the first that cannot be stored, and why
   */
  async firstWrong(
    clubId: string,
    sets: readonly WholeSet[],
  ): Promise<{ readonly at: number; readonly error: HttpException } | null> {
    const athletes = await this.athletes.among(
      clubId,
      sets.map(({ body }) => body.athleteId),
    );
    const versions = await this.patterns.versions(
      clubId,
      sets.map(({ body }) => versionOf(body)),
    );
    const owners = await this.ownersOf(
      clubId,
      sets.flatMap(({ reps }) => reps.map(({ id }) => id)),
    );
    const seen = new Set<string>();
    let at = 0;
    try {
      await piecemeal(sets, (set, i) => {
        at = i;
        const { athleteId, patternVersion } = set.body;
        if (seen.has(set.id)) throw conflict('id', set.id, 'an id that no other set has');
        seen.add(set.id);
        const version = versions.get(versionKey(versionOf(set.body)));
        if (!athletes.has(athleteId)) throw unknown('athleteId', athleteId, 'an athlete');
        if (!version) throw unknown('version', String(patternVersion), 'a version of a pattern');
        this.checkWhole(version.body, set);
        for (const [nr, { id }] of set.reps.entries()) {
          if ((owners.get(id) ?? set.id) !== set.id)
            throw conflict(`reps[${nr}].id`, id, 'an id that no rep of another set has');
          owners.set(id, set.id);
        }
      });
    } catch (error) {
      if (!(error instanceof HttpException)) throw error;
      return { at, error };
    }
    return null;
  }

  /** The set id of each rep that is already stored. */
  private async ownersOf(clubId: string, repIds: readonly string[]): Promise<Map<string, string>> {
    const rows = await this.em.execute<{ id: string; setId: string }[]>(
      `select id, set_id as "setId" from rep where club_id = ? and id = any (?::uuid[])`,
      [clubId, `{${repIds.join(',')}}`],
    );
    return new Map(rows.map(({ id, setId }) => [id, setId]));
  }

  private checkWhole(pattern: Pattern, { id, body, reps }: WholeSet): void {
    checkAgainst(pattern, body);
    const seen = new Set<string>();
    for (const [i, rep] of reps.entries()) {
      const field = `reps[${i}]`;
      if (seen.has(rep.id))
        throw conflict(`${field}.id`, rep.id, `an id that no other rep of ${id} has`);
      seen.add(rep.id);
      accepted(within(field, checkRep(rep.body, body.cues)));
      const { replaces } = rep.body;
      if (replaces && !seen.has(replaces))
        throw unknown(`${field}.replaces`, replaces, 'a rep before it');
    }
  }

  /**
   * Stores complete sets of one athlete, with their reps, in one short transaction. A set whose id is taken is
   * skipped.
   * @returns the ids of the stored sets
   */
  async storeNew(
    clubId: string,
    athleteId: string,
    sets: readonly WholeSet[],
  ): Promise<ReadonlySet<string>> {
    return this.em.transactional(async (em) => {
      await holdAthlete(em, clubId, athleteId);
      const stored = await insertSets(
        em,
        clubId,
        sets.map(({ id, body, endedAt }) => ({ ...body, id, endedAt, endReason: 'completed' })),
      );
      const reps = sets.flatMap((set) =>
        stored.has(set.id) ? set.reps.map(({ id, body }) => ({ ...body, id, setId: set.id })) : [],
      );
      await repsPart.bring(em, clubId, reps);
      await this.changes.tell(em, { of: 'reps', clubId, athleteId, setIds: [...stored] });
      return stored;
    });
  }

  /**
   * Adds what is missing to a set whose id is taken. Sending the same again changes nothing; different content is
   * refused.
   */
  async storeAgain(clubId: string, { id, body, reps, endedAt }: WholeSet): Promise<void> {
    await this.drills.recordSet(clubId, id, body);
    for (const rep of reps) await this.drills.recordRep(clubId, id, rep.id, rep.body);
    await this.drills.endSet(clubId, id, { endedAt, reason: 'completed' });
  }
}
