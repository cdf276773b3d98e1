import { Entity, Property } from '@mikro-orm/core';
import type { SquadLineReply } from '@orthokin/contract';
import type { SquadMember } from '@orthokin/core/progress';
import type { Standing } from '@orthokin/core/stats';
import { ClubOwned } from '../platform/storage/club-owned.js';

/** What the first page says about an athlete, apart from personal details. */
export type SquadLine = Omit<SquadLineReply, 'athlete' | 'restricted' | 'need' | 'claims'>;

/** What the Holm correction over the whole squad needs before anything is claimed. */
export type KeptMember = SquadMember & {
  readonly standing: Pick<Standing, 'lastTimedMs'>;
};

/**
 * An athlete's line on the first page, cached for a day, or until a set, a rep, a move or other settings delete it;
 * the next request works it out again.
 */
@Entity({ tableName: 'squad_line' })
export class SquadLineRow extends ClubOwned {
  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'json' })
  line!: SquadLine;

  /** The last day (`YYYY-MM-DD`, UTC) of the weeks it covers. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'json' })
  member!: KeptMember;
}
