import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
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

  async ofOne(clubId: string, athleteId: string): Promise<NewestSet | undefined> {
    return (await this.of(clubId, [athleteId])).get(athleteId);
  }
}

/** The pattern an athlete works on: that of the newest set; before any, the one they were given. */
export const workingOn = (
  { patternId }: Pick<Athlete, 'patternId'>,
  newest: Pick<NewestSet, 'patternId'> | undefined,
): string => newest?.patternId ?? patternId;
