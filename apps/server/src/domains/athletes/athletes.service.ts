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

  /** Who trains, by name. */
  all(clubId: string): Promise<Athlete[]> {
    return this.rows('where club_id = ? and archived_at is null order by name', [clubId]);
  }

  /** Who trains and who was put away, by name. */
  everyone(clubId: string): Promise<Athlete[]> {
    return this.rows('where club_id = ? order by name, id', [clubId]);
  }

  /** Which of some ids are athletes of a club. */
  async among(clubId: string, ids: readonly string[]): Promise<ReadonlySet<string>> {
    const rows = await this.em.execute<{ id: string }[]>(
      'select id from athlete where club_id = ? and id = any (?::uuid[])',
      [clubId, `{${[...new Set(ids)].join(',')}}`],
    );
    return new Set(rows.map(({ id }) => id));
  }

  /** Refuses ids of which one is of nobody of the club, as a field `athleteIds` has them. */
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

  /** Athletes to be read and not changed: every page asks for them. */
  private rows(rest: string, params: readonly unknown[]): Promise<Athlete[]> {
    return plainRows(this.em, Athlete, rest, params);
  }

  /**
   * Adds an athlete, or changes what is known of one; refused where somebody else has changed them since.
   * The same again is no change.
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

  /** Adds many athletes, all or none; sent again, they are the same athletes. */
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

  /** Refuses what names no pattern of a club, or who was born tomorrow; `at` leads to the field. */
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

  /** Puts an athlete away, or brings them back. */
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

  /** Gives an athlete another pattern to work on. */
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

  /** Watches other faults in an athlete from now on. */
  async watch(clubId: string, id: string, { watched }: WatchedBody): Promise<PersonReply> {
    await this.one(clubId, id);
    await this.em.nativeUpdate(Athlete, { clubId, id }, { watched, revision: oneMore() });
    return this.person(clubId, id);
  }

  private async person(clubId: string, id: string): Promise<PersonReply> {
    return personReply(await this.em.fork().findOneOrFail(Athlete, { clubId, id }));
  }
}

/** Worked out where it is stored: two at once are two. */
const oneMore = (): number => raw('revision + 1');

/** What was not said is not known. */
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

/** Whether all that is said of an athlete is what is known already. */
const isSaid = (athlete: Athlete, said: ReturnType<typeof allOf>): boolean =>
  Object.entries(said).every(([name, value]) =>
    isDeepStrictEqual(plain(athlete[name as keyof Athlete]), plain(value)),
  );

/** The age band as of today: by the date of birth where it is known. */
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

/** An athlete as they are kept: what a file has, and what is shown to be changed. */
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
