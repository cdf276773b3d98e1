import type { EntityManager } from '@mikro-orm/postgresql';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { countChange } from '../domains/athletes/hold-athletes.js';
import { Changes, type Change } from '../domains/changes.js';
import { LadderStanding } from './ladder-standing.entity.js';
import { SquadLineRow } from './squad-line.entity.js';

/**
 * Deletes cached rows that a change makes stale, in the transaction of the change, and counts the change so that
 * results still being worked out are not cached (`keepWorkedOut`). Nothing else deletes these rows.
 */
@Injectable()
export class TakingAway implements OnModuleInit {
  constructor(private readonly changes: Changes) {}

  onModuleInit(): void {
    this.changes.onChange((em, change) => takeAway(em, change));
  }
}

async function takeAway(em: EntityManager, change: Change): Promise<void> {
  const { clubId } = change;
  switch (change.of) {
    case 'reps':
    case 'sets': {
      const { athleteId } = change;
      // One statement, because every rep waits for it. The caller has locked the athlete.
      await em.execute(
        `with of as (select ?::uuid as club_id, ?::uuid as athlete_id, ?::uuid[] as set_ids),
           counted as (update athlete a set changes = a.changes + 1 from of where (a.club_id, a.id) = (of.club_id, of.athlete_id)),
           figures as (delete from set_figures f using of where f.club_id = of.club_id and f.id = any (of.set_ids)),
           standing as (delete from athlete_standing s using of where (s.club_id, s.id) = (of.club_id, of.athlete_id)),
           ladder as (delete from ladder_standing l using of where (l.club_id, l.athlete_id) = (of.club_id, of.athlete_id))
         delete from squad_line l using of where (l.club_id, l.id) = (of.club_id, of.athlete_id)`,
        [clubId, athleteId, `{${change.of === 'reps' ? change.setIds.join(',') : ''}}`],
      );
      return;
    }
    case 'moves':
    case 'own limits': {
      const { athleteId, patternId } = change;
      await countChange(em, clubId, [athleteId]);
      await em.nativeDelete(LadderStanding, { clubId, athleteId, patternId });
      await em.nativeDelete(SquadLineRow, { clubId, id: athleteId });
      return;
    }
    case 'ladder':
    case 'pattern': {
      const { patternId } = change;
      await countChange(em, clubId, 'all');
      await em.nativeDelete(LadderStanding, { clubId, patternId });
      await em.nativeDelete(SquadLineRow, { clubId, patternId });
    }
  }
}
