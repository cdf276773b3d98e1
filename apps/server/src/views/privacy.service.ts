import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { OverdueReply, PrivacyReply } from '@orthokin/contract';
import { keptSince } from '@orthokin/core/people';
import { Club } from '../domains/clubs/club.entity.js';
import { Erased } from '../domains/privacy/erased.entity.js';
import { unknown } from '../platform/http/refusals.js';

const NEWEST = 100;

/** What a club keeps about people, whom it keeps longer than it meant to, and whom it has erased. */
@Injectable()
export class PrivacyService {
  constructor(private readonly em: EntityManager) {}

  async of(clubId: string): Promise<PrivacyReply> {
    const club = await this.em.findOne(Club, { clubId }, { fields: ['keepYears'] });
    if (!club) throw unknown('clubId', clubId, 'a club');
    const keepYears = club.keepYears ?? null;
    const [overdue, erased] = await Promise.all([
      keepYears === null ? [] : this.overdue(clubId, keepYears),
      this.em.find(Erased, { clubId }, { orderBy: { erasedAt: 'desc' }, limit: NEWEST }),
    ]);
    return {
      ...{ keepYears, overdue },
      erasures: erased.map(({ id, how, sets, reps, erasedBy: by, erasedAt }) => ({
        ...{ id, how, sets, reps, by, at: erasedAt.toISOString() },
      })),
    };
  }

  async keepFor(clubId: string, keepYears: number | null): Promise<PrivacyReply> {
    await this.em.nativeUpdate(Club, { clubId }, { keepYears });
    return new PrivacyService(this.em.fork()).of(clubId);
  }

  /** Athletes whose last activity is older than that; one who never did anything counts from being added. */
  private overdue(clubId: string, keepYears: number): Promise<OverdueReply[]> {
    const today = new Date().toISOString().slice(0, 10);
    // A UUIDv7 begins with its time of creation in 48 bits (RFC 9562).
    return this.em.execute<OverdueReply[]>(
      `select a.id as "athleteId", a.name, to_char(l.last_day, 'YYYY-MM-DD') as "lastDay"
       from athlete a cross join lateral (
         select greatest(
           (select max(s.day) from drill_set s where s.club_id = a.club_id and s.athlete_id = a.id),
           (select max(h.day) from attendance t
              join held_session h on h.club_id = t.club_id and h.id = t.session_id
            where t.club_id = a.club_id and t.athlete_id = a.id),
           (select max(p.day) from home_practice p
            where p.club_id = a.club_id and p.athlete_id = a.id),
           case when substr(a.id::text, 15, 1) = '7' then to_timestamp(
             ('x' || left(replace(a.id::text, '-', ''), 12))::bit(48)::bigint / 1000.0)::date end
         ) as last_day) l
       where a.club_id = ? and l.last_day < ?::date
       order by l.last_day, a.name`,
      [clubId, keptSince(today, keepYears)],
    );
  }
}
