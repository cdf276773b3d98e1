import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { DayDoneReply } from '@orthokin/contract';
import type { Athlete } from '../athletes/athlete.entity.js';

/** The newest set of an athlete, and the pattern it was run on. */
export interface NewestSet {
  readonly setId: string;
  readonly patternId: string;
}

interface Row {
  readonly id: string;
  readonly athlete_id: string;
  readonly pattern_id: string;
}

/** Each athlete's newest set: what they work on. */
@Injectable()
export class NewestSetsService {
  constructor(private readonly em: EntityManager) {}

  /** By athlete; without those who have no set yet. */
  async of(clubId: string, athleteIds: readonly string[]): Promise<ReadonlyMap<string, NewestSet>> {
    const rows = await this.em.execute<Row[]>(
      `select newest.id, a.id as athlete_id, newest.pattern_id
       from unnest(?::uuid[]) as a (id) cross join lateral (
         select s.id, s.pattern_id from drill_set s
         where s.club_id = ? and s.athlete_id = a.id
         order by s.started_at desc, s.id desc limit 1) as newest`,
      [`{${athleteIds.join(',')}}`, clubId],
    );
    return new Map(
      rows.map(({ id, athlete_id, pattern_id }) => [
        athlete_id,
        { setId: id, patternId: pattern_id },
      ]),
    );
  }

  /** What an athlete did on the newest day they trained; `null` before the first set. */
  async lastDay(clubId: string, athleteId: string): Promise<DayDoneReply | null> {
    const [row] = await this.em.execute<DayDoneReply[]>(
      `select s.day::text as day,
         coalesce(sum(extract(epoch from s.ended_at - s.started_at)) / 60, 0)::float8 as minutes,
         coalesce(sum((select count(distinct r.ordinal) from rep r
           where r.club_id = s.club_id and r.set_id = s.id)), 0)::int as splits
       from drill_set s
       where s.club_id = ? and s.athlete_id = ? and s.day =
         (select max(day) from drill_set where club_id = s.club_id and athlete_id = s.athlete_id)
       group by s.day`,
      [clubId, athleteId],
    );
    return row ?? null;
  }

  async ofOne(clubId: string, athleteId: string): Promise<NewestSet | undefined> {
    return (await this.of(clubId, [athleteId])).get(athleteId);
  }
}

/** The pattern an athlete works on: that of the newest set; before any, the one they were given. */
export const workingOn = (
  { patternId }: Pick<Athlete, 'patternId'>,
  newest: Pick<NewestSet, 'patternId'> | undefined,
): string => newest?.patternId ?? patternId;
