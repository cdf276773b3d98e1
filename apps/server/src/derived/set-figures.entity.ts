import { Entity, Property } from '@mikro-orm/core';
import type { SetJudgement, SetOutcome, StaircaseReading } from '@orthokin/core/progress';
import type { SetFigures } from '@orthokin/core/stats';
import { ClubOwned } from '../platform/storage/club-owned.js';

/**
 * What follows from a set's reps, kept under the set's id so that weeks of sets can be read without
 * their reps. A rep that comes later takes it away, and whoever asks next works it out anew.
 */
@Entity({ tableName: 'set_figures' })
export class SetFiguresRow extends ClubOwned {
  @Property({ type: 'json' })
  figures!: SetFigures;

  @Property({ type: 'json' })
  judgement!: SetJudgement;

  /** That of the judgement, beside it: courses of many sets need no more of it. */
  @Property({ type: 'text' })
  outcome!: SetOutcome;

  /** Of a set whose pace moved by itself. */
  @Property({ type: 'json', nullable: true })
  staircase!: StaircaseReading | null;
}

/**
 * SQL that puts what is kept of a set beside its row `s`, or nothing: looked up by its key, set by set, with a `?` for
 * the club. A plain join goes through all that is kept once for each set, as long as the planner has no statistics of
 * it: of a club that has just come in that took as long again as working everything out.
 */
export const keptBeside = (columns: string): string =>
  `left join lateral
     (select ${columns} from set_figures where club_id = ? and id = s.id limit 1) f on true`;
