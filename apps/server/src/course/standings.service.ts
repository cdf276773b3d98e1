import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { StandingReply } from '@orthokin/contract';
import { standingOf, type Standing } from '@orthokin/core/stats';
import { Athlete } from '../athletes/athlete.entity.js';
import { athleteReply, AthletesService } from '../athletes/athletes.service.js';
import { AthleteStanding } from '../drills/athlete-standing.entity.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { PlacesService } from '../progress/places.service.js';
import { CourseService } from './course.service.js';

/** The squad's page looks back so many weeks. */
const SQUAD_WEEKS = 12;
const WEEK_MS = 7 * 24 * 60 * 60 * 1000;

interface NewestRow {
  readonly id: string;
  readonly athlete_id: string;
  readonly pattern_id: string;
}

interface CountRow {
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly rung: number;
  readonly sets: number;
}

/** How everyone of a squad stands. */
@Injectable()
export class StandingsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly places: PlacesService,
    private readonly courses: CourseService,
  ) {}

  /** Every athlete of a club and how they stand, from the sets of the last weeks. */
  async of(clubId: string, now = new Date()): Promise<StandingReply[]> {
    const since = new Date(now.getTime() - SQUAD_WEEKS * WEEK_MS);
    const [athletes, patterns, places, newest, counts] = await Promise.all([
      this.athletes.all(clubId),
      this.patterns.heads(clubId),
      this.places.places(clubId),
      this.newest(clubId, since),
      this.countsOnRungs(clubId, since),
    ]);
    const kept = await this.kept(clubId, athletes, now, since);
    return athletes.flatMap((athlete): StandingReply[] => {
      const last = newest.get(athlete.id);
      const patternId = last?.pattern_id ?? athlete.patternId;
      const pattern = patterns.get(patternId);
      const standing = kept.get(athlete.id);
      if (!pattern || !standing) return [];
      const place = places.get(`${athlete.id} ${patternId}`);
      const rung = Math.min(place?.rung ?? 1, pattern.rungs);
      return [
        {
          athlete: athleteReply(athlete),
          ...{ patternId, patternName: pattern.name, rung, rungs: pattern.rungs, standing },
          lastSetId: last?.id ?? null,
          setsOnRung: counts.get(`${athlete.id} ${patternId} ${rung}`) ?? 0,
        },
      ];
    });
  }

  /** The newest set of each athlete. */
  private async newest(clubId: string, since: Date): Promise<ReadonlyMap<string, NewestRow>> {
    const rows = await this.em.execute<NewestRow[]>(
      `select distinct on (athlete_id) id, athlete_id, pattern_id from drill_set
       where club_id = ? and started_at >= ? order by athlete_id, started_at desc`,
      [clubId, since],
    );
    return new Map(rows.map((row) => [row.athlete_id, row]));
  }

  /** Sets by "athlete pattern rung" since the athlete's newest move on that pattern. */
  private async countsOnRungs(clubId: string, since: Date): Promise<ReadonlyMap<string, number>> {
    const rows = await this.em.execute<CountRow[]>(
      `with moved as (
         select distinct on (athlete_id, pattern_id) athlete_id, pattern_id, moved_at
         from rung_move where club_id = ? order by athlete_id, pattern_id, moved_at desc, id desc
       )
       select s.athlete_id, s.pattern_id, s.rung, count(*)::int as sets
       from drill_set s left join moved m using (athlete_id, pattern_id)
       where s.club_id = ? and s.started_at >= ?
         and s.started_at >= coalesce(m.moved_at, '-infinity')
       group by s.athlete_id, s.pattern_id, s.rung`,
      [clubId, clubId, since],
    );
    return new Map(
      rows.map((row) => [`${row.athlete_id} ${row.pattern_id} ${row.rung}`, row.sets]),
    );
  }

  /** Standings by athlete: those kept today, the others worked out and kept. */
  private async kept(
    clubId: string,
    athletes: readonly Athlete[],
    now: Date,
    since: Date,
  ): Promise<ReadonlyMap<string, Standing>> {
    const day = now.toISOString().slice(0, 10);
    const rows = await this.em.find(AthleteStanding, { clubId, day }, { disableIdentityMap: true });
    const standings = new Map(rows.map(({ id, standing }) => [id, standing]));
    const missing = athletes.map(({ id }) => id).filter((id) => !standings.has(id));
    if (missing.length === 0) return standings;
    await this.em.transactional(async (em) => {
      // Whoever adds a rep holds its athlete: what is kept is never older than the reps.
      await em.find(
        Athlete,
        { clubId, id: { $in: missing } },
        { lockMode: LockMode.PESSIMISTIC_WRITE, orderBy: { id: 'asc' } },
      );
      const courses = await this.courses.setsSince(clubId, missing, since);
      for (const id of missing) standings.set(id, standingOf(courses.get(id) ?? []));
      await em.upsertMany(
        AthleteStanding,
        missing.flatMap((id) => {
          const standing = standings.get(id);
          return standing ? [{ clubId, id, day, standing }] : [];
        }),
      );
    });
    return standings;
  }
}
