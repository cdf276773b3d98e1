import { Entity, Property } from '@mikro-orm/core';
import type { SquadLineReply } from '@orthokin/contract';
import { ClubOwned } from '../platform/storage/club-owned.js';

/** What the first page says of an athlete, but for who they are. */
export type SquadLine = Omit<SquadLineReply, 'athlete' | 'restricted'>;

/**
 * A line of the first page, kept under the athlete's id until a set, a rep, a move or other settings
 * take it away; whoever asks next works it out anew.
 */
@Entity({ tableName: 'squad_line' })
export class SquadLineRow extends ClubOwned {
  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'json' })
  line!: SquadLine;
}
