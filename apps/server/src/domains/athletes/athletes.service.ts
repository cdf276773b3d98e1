import { isDeepStrictEqual } from 'node:util';
import { EntityManager, LockMode, raw } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type {
  AthleteBody,
  AthleteReply,
  AthletesBody,
  PersonReply,
  WatchedBody,
  WorksOnBody,
} from '@orthokin/contract';
import { ageBandOn, type AgeBand } from '@orthokin/core/people';
import { accepted, conflict, unknown } from '../../platform/http/refusals.js';
import { plain } from '../../platform/storage/plain.js';
import { plainRows } from '../../platform/storage/plain-rows.js';
import { wrong } from '@orthokin/core/result';
import { Changes } from '../changes.js';
import { Club } from '../clubs/club.entity.js';
import { PatternRow } from '../patterns/pattern.entity.js';
import { Athlete } from './athlete.entity.js';

const today = (): string => new Date().toISOString().slice(0, 10);

@Injectable()
export class AthletesService {
  constructor(
    private readonly em: EntityManager,
    private readonly changes: Changes,
  ) {}

  /** Athletes who train, by name. */
  all(clubId: string): Promise<Athlete[]> {
    return this.rows('where club_id = ? and archived_at is null order by name', [clubId]);
  }

  /** All athletes, archived ones included, by name. */
  everyone(clubId: string): Promise<Athlete[]> {
    return this.rows('where club_id = ? order by name, id', [clubId]);
  }

  /** Those of some ids that are athletes of the club. */
  async among(clubId: string, ids: readonly string[]): Promise<ReadonlySet<string>> {
    const rows = await this.em.execute<{ id: string }[]>(
      'select id from athlete where club_id = ? and id = any (?::uuid[])',
      [clubId, `{${[...new Set(ids)].join(',')}}`],
    );
    return new Set(rows.map(({ id }) => id));
  }

  /** Refuses the field `athleteIds` if one of the ids is not an athlete of the club. */
  async checkNamed(clubId: string, athleteIds: readonly string[]): Promise<void> {
    const known = await this.among(clubId, athleteIds);
    for (const [i, id] of athleteIds.entries())
      if (!known.has(id))
        accepted(wrong(`athleteIds[${i}]`, id, 'the id of an athlete of this club'));
  }

  async one(clubId: string, id: string): Promise<Athlete> {
    const [athlete] = await this.rows('where club_id = ? and id = ?', [clubId, id]);
    if (!athlete) throw unknown('athleteId', id, 'an athlete');
    return athlete;
  }

  /** Read-only athletes, for the pages that only show them. */
  private rows(rest: string, params: readonly unknown[]): Promise<Athlete[]> {
    return plainRows(this.em, Athlete, rest, params);
  }

  /**
   * Adds or changes an athlete; refused if somebody else changed them meanwhile. Sending the same again changes
   * nothing.
   */
  async save(clubId: string, id: string, body: AthleteBody): Promise<PersonReply> {
    await this.checkAll(clubId, [body], () => '');
    const said = allOf(body);
    await this.em.transactional(async (em) => {
      const now = await em.findOne(
        Athlete,
        { clubId, id },
        { lockMode: LockMode.PESSIMISTIC_WRITE },
      );
      if (now && isSaid(now, said)) return;
      const { revision } = body;
      if (now && revision != null && revision !== now.revision + 1)
        throw conflict(
          'revision',
          String(revision),
          `${now.revision + 1}: somebody else has changed ${now.name} meanwhile`,
        );
      await em.upsert(
        Athlete,
        { clubId, id, ...said, revision: (now?.revision ?? 0) + 1 },
        { onConflictFields: ['clubId', 'id'] },
      );
      await this.changes.tell(em, { of: 'sets', clubId, athleteId: id });
    });
    return this.person(clubId, id);
  }

  /** Adds several athletes, all or none. Sending the same again changes nothing. */
  async addAll(clubId: string, { athletes }: AthletesBody): Promise<PersonReply[]> {
    await this.checkAll(clubId, athletes, (i) => `athletes[${i}].`);
    await this.em.transactional(async (em) => {
      await em.upsertMany(
        Athlete,
        athletes.map(({ id, ...body }) => ({ clubId, id, ...allOf(body) })),
        { onConflictFields: ['clubId', 'id'] },
      );
      for (const { id } of athletes)
        await this.changes.tell(em, { of: 'sets', clubId, athleteId: id });
    });
    const ids = athletes.map(({ id }) => id);
    const added = await this.em.fork().find(Athlete, { clubId, id: { $in: ids } });
    return added.map(personReply);
  }

  /**
   * Refuses an unknown pattern, or a date of birth in the future.
   * @param at the path to the fields, for problems
   */
  private async checkAll(
    clubId: string,
    bodies: readonly AthleteBody[],
    at: (index: number) => string,
  ): Promise<void> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    const wanted = [...new Set(bodies.map(({ patternId }) => patternId))];
    const patterns = await this.em.find(PatternRow, { clubId, id: { $in: wanted } });
    const known = new Set(patterns.map(({ id }) => id));
    for (const [i, { bornOn, patternId }] of bodies.entries()) {
      if (bornOn && bornOn > today())
        accepted(wrong(`${at(i)}bornOn`, bornOn, `a day up to today, ${today()}`));
      if (!known.has(patternId)) throw unknown(`${at(i)}patternId`, patternId, 'a pattern');
    }
  }

  /** Archives an athlete, or restores them. */
  async archive(clubId: string, id: string, archived: boolean): Promise<PersonReply> {
    const { archivedAt } = await this.one(clubId, id);
    if ((archivedAt !== null) !== archived)
      await this.em.nativeUpdate(
        Athlete,
        { clubId, id },
        { archivedAt: archived ? new Date() : null },
      );
    return this.person(clubId, id);
  }

  /** Sets the pattern an athlete works on. */
  async workOn(clubId: string, id: string, { patternId }: WorksOnBody): Promise<PersonReply> {
    await this.one(clubId, id);
    if (!(await this.em.findOne(PatternRow, { clubId, id: patternId })))
      throw unknown('patternId', patternId, 'a pattern');
    await this.em.transactional(async (em) => {
      await em.nativeUpdate(Athlete, { clubId, id }, { patternId, revision: oneMore() });
      await this.changes.tell(em, { of: 'sets', clubId, athleteId: id });
    });
    return this.person(clubId, id);
  }

  /** Sets the faults watched in an athlete. */
  async watch(clubId: string, id: string, { watched }: WatchedBody): Promise<PersonReply> {
    await this.one(clubId, id);
    await this.em.nativeUpdate(Athlete, { clubId, id }, { watched, revision: oneMore() });
    return this.person(clubId, id);
  }

  private async person(clubId: string, id: string): Promise<PersonReply> {
    return personReply(await this.em.fork().findOneOrFail(Athlete, { clubId, id }));
  }
}

/** Incremented in SQL, so that two simultaneous changes count as two. */
const oneMore = (): number => raw('revision + 1');

/** Fills in fields that were not sent as unknown. */
const allOf = ({
  called = null,
  bornOn = null,
  foot = null,
  heightM = null,
  shoulderM = null,
  hipM = null,
  reachM = null,
  reaches = null,
  goal = null,
  sports = null,
  emergency = null,
  watched,
  note = null,
  revision: _,
  ...body
}: AthleteBody) => ({
  ...body,
  ...{ called, bornOn, foot, heightM, shoulderM, hipM, reachM, reaches },
  ...{ goal, sports, emergency, note },
  watched: watched ?? [],
});

/** Whether an athlete already is as the request says. */
const isSaid = (athlete: Athlete, said: ReturnType<typeof allOf>): boolean =>
  Object.entries(said).every(([name, value]) =>
    isDeepStrictEqual(plain(athlete[name as keyof Athlete]), plain(value)),
  );

/** Today's age band: from the date of birth, if it is known. */
export const bandNow = (ageBand: AgeBand, bornOn: string | null): AgeBand =>
  bornOn === null ? ageBand : ageBandOn(bornOn, today());

export const athleteReply = ({
  id,
  name,
  hand,
  ageBand,
  bornOn,
  colourVision,
  note,
}: Athlete): AthleteReply => ({
  id,
  name,
  hand,
  ageBand: bandNow(ageBand, bornOn),
  colourVision,
  note,
});

/** The stored fields of an athlete, for files and for the form that edits them. */
export const aboutAthlete = ({
  called,
  bornOn,
  foot,
  heightM,
  shoulderM,
  hipM,
  reachM,
  reaches,
  goal,
  sports,
  emergency,
  watched,
  patternId,
}: Athlete) => ({
  ...{ called, bornOn, foot, heightM, shoulderM, hipM, reachM, reaches },
  ...{ goal, sports, emergency, watched, patternId },
});

export const personReply = (athlete: Athlete): PersonReply => ({
  ...athleteReply(athlete),
  ...aboutAthlete(athlete),
  archived: athlete.archivedAt !== null,
  changes: athlete.revision,
});
