import { Entity, Property } from '@mikro-orm/core';
import type { SetJudgement, SetOutcome, StaircaseReading } from '@orthokin/core/progress';
import type { SetFigures } from '@orthokin/core/stats';
import { ClubOwned } from '../platform/storage/club-owned.js';

/**
 * Figures worked out from a set's reps, cached so that weeks of sets can be read without their reps. A later rep
 * deletes them; the next request works them out again.
 */
@Entity({ tableName: 'set_figures' })
export class SetFiguresRow extends ClubOwned {
  @Property({ type: 'json' })
  figures!: SetFigures;

  @Property({ type: 'json' })
  judgement!: SetJudgement;

  /** A copy of the judgement's outcome: long courses need nothing else of it. */
  @Property({ type: 'text' })
  outcome!: SetOutcome;

  /** Only for sets whose pace adapted by itself. */
  @Property({ type: 'json', nullable: true })
  staircase!: StaircaseReading | null;
}

/**
 * SQL that joins each set `s` with its cached figures, if any, with a `?` for the club's id. The lateral subquery makes
 * PostgreSQL look each one up by its key. For a plain join, while there are no statistics (of a club that was just
 * imported), it would scan all figures once per set, which took as long as working everything out anew.
 */
export const keptBeside = (columns: string): string =>
  `left join lateral
     (select ${columns} from set_figures where club_id = ? and id = s.id limit 1) f on true`;
