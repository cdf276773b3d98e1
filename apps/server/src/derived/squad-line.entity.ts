import { Entity, Property } from '@mikro-orm/core';
import type { SquadLineReply } from '@orthokin/contract';
import type { SquadMember } from '@orthokin/core/progress';
import type { Standing } from '@orthokin/core/stats';
import { ClubOwned } from '../platform/storage/club-owned.js';

/** What the first page says of an athlete, but for who they are. */
export type SquadLine = Omit<SquadLineReply, 'athlete' | 'restricted' | 'need' | 'claims'>;

/** What is to be held against the whole squad before anything of it is said. */
export type KeptMember = SquadMember & {
  readonly standing: Pick<Standing, 'lastTimedMs'>;
};

/**
 * A line of the first page, kept under the athlete's id for a day, or until a set, a rep, a move or
 * other settings take it away; whoever asks next works it out anew.
 */
@Entity({ tableName: 'squad_line' })
export class SquadLineRow extends ClubOwned {
  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'json' })
  line!: SquadLine;

  /** The weeks looked back on end with this day, `YYYY-MM-DD`, UTC. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'json' })
  member!: KeptMember;
}
