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
