import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { DayDoneReply } from '@orthokin/contract';

interface Row {
  readonly id: string;
  readonly athlete_id: string;
}

/** What athletes did last. */
@Injectable()
export class NewestSetsService {
  constructor(private readonly em: EntityManager) {}

  /** The id of each athlete's newest set on any pattern; athletes without sets are left out. */
  async of(clubId: string, athleteIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
    const rows = await this.em.execute<Row[]>(
      `select newest.id, a.id as athlete_id
       from athlete a cross join lateral (
         select s.id from drill_set s
         where s.club_id = a.club_id and s.athlete_id = a.id
         order by s.started_at desc, s.id desc limit 1) as newest
       where a.club_id = ? and a.id = any(?::uuid[])`,
      [clubId, `{${athleteIds.join(',')}}`],
    );
    return new Map(rows.map(({ id, athlete_id }) => [athlete_id, id]));
  }

  /** What an athlete did on their last training day; `null` if there is none. */
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
}
