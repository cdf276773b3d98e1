import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { Sessions } from '../platform/auth/sessions.js';
import { signEverybodyOut } from '../domains/accounts/forgotten.js';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { Changes } from '../domains/changes.js';
import { Club } from '../domains/clubs/club.entity.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { PatternRow } from '../domains/patterns/pattern.entity.js';
import { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { conflict, unknown } from '../platform/http/refusals.js';

const HELD = { lockMode: LockMode.PESSIMISTIC_WRITE } as const;

/** Deletes a club, or something in it, for good, with all that belongs to it. */
@Injectable()
export class TakingOutService {
  constructor(
    private readonly em: EntityManager,
    private readonly changes: Changes,
    private readonly sessions: Sessions,
  ) {}

  /** Deletes a set with its reps and notes, and moves that were based on it. */
  async set(clubId: string, id: string): Promise<void> {
    const found = await this.em.findOne(DrillSet, { clubId, id }, { fields: ['athleteId'] });
    if (!found) throw unknown('setId', id, 'a set');
    const { athleteId } = found;
    await this.em.transactional(async (em) => {
      await em.findOneOrFail(Athlete, { clubId, id: athleteId }, HELD);
      await em.nativeDelete(DrillSet, { clubId, id });
      await this.changes.tell(em, { of: 'sets', clubId, athleteId });
    });
  }

  /** Deletes a pattern version with its sets, and the pattern if this was its only version. */
  async version(clubId: string, patternId: string, version: number): Promise<void> {
    await this.em.transactional(async (em) => {
      // In the order in which everybody locks athletes.
      const athletes = await em.find(
        Athlete,
        { clubId },
        { ...HELD, orderBy: { id: 'asc' }, fields: ['id', 'patternId'] },
      );
      await em.findOne(PatternRow, { clubId, id: patternId }, HELD);
      const all = await em.find(
        PatternVersion,
        { clubId, patternId },
        { fields: ['version'], orderBy: { version: 'asc' } },
      );
      if (!all.some((each) => each.version === version))
        throw unknown('version', String(version), 'a version of a pattern');
      if (all.length === 1 && athletes.some((athlete) => athlete.patternId === patternId))
        throw conflict(
          'version',
          String(version),
          'not the only one of what an athlete began with',
        );
      await em.nativeDelete(DrillSet, { clubId, patternId, patternVersion: version });
      await em.nativeDelete(PatternVersion, { clubId, patternId, version });
      if (all.length === 1) await em.nativeDelete(PatternRow, { clubId, id: patternId });
      await this.changes.tell(em, { of: 'pattern', clubId, patternId });
      for (const { id: athleteId } of athletes)
        await this.changes.tell(em, { of: 'sets', clubId, athleteId });
    });
  }

  /** Deletes a whole club; its name must be given as a confirmation. */
  async club(clubId: string, name: string): Promise<void> {
    const club = await this.em.findOne(Club, { clubId });
    if (!club) throw unknown('clubId', clubId, 'a club');
    if (club.name !== name) throw conflict('name', name, `${club.name}, the name of this club`);
    await this.em.transactional(async (em) => {
      // Locks all athletes: a rep is recorded before this or refused after it.
      await em.find(Athlete, { clubId }, { ...HELD, orderBy: { id: 'asc' }, fields: ['id'] });
      await em.nativeDelete(Athlete, { clubId });
      await em.nativeDelete(Club, { clubId });
      await signEverybodyOut(em, clubId);
    });
    this.sessions.readAnew();
  }
}
