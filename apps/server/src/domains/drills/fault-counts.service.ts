import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { FaultCountReply } from '@orthokin/contract';
import { FAULTS } from '@orthokin/core/timing';

/** Faults seen longer ago say little about now. */
const LATELY_DAYS = 28;

/** How often each fault was seen in recent weeks. */
@Injectable()
export class FaultCountsService {
  constructor(private readonly em: EntityManager) {}

  /** Most frequent first, of one athlete or of everybody. A corrected rep counts as corrected. */
  async lately(clubId: string, athleteId: string | null = null): Promise<FaultCountReply[]> {
    const rows = await this.em.execute<FaultCountReply[]>(
      `select f.fault, count(*)::int as seen
       from drill_set s
       join rep r on r.club_id = s.club_id and r.set_id = s.id
       cross join lateral jsonb_array_elements_text(
         case jsonb_typeof(r.seen_faults) when 'array' then r.seen_faults else '[]' end) as f (fault)
       where s.club_id = ? ${athleteId === null ? '' : 'and s.athlete_id = ?'}
         and s.day > current_date - ${LATELY_DAYS} and not r.struck_out and f.fault = any (?::text[])
         and not exists (select 1 from rep c
           where c.club_id = r.club_id and c.set_id = r.set_id and c.replaces = r.id)
       group by f.fault order by seen desc, f.fault`,
      [
        clubId,
        ...(athleteId === null ? [] : [athleteId]),
        `{${FAULTS.map((fault) => JSON.stringify(fault)).join(',')}}`,
      ],
    );
    return rows;
  }
}
