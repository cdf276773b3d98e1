import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { Decision, HeldOnRung } from '@orthokin/core/progress';

/**
 * What the evidence says of an athlete on a ladder, kept until a rep, a move or other settings take
 * it away; whoever asks next works it out anew.
 */
@Entity({ tableName: 'ladder_standing' })
export class LadderStanding {
  [PrimaryKeyProp]?: ['clubId', 'athleteId', 'patternId'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  athleteId!: string;

  @PrimaryKey({ type: 'uuid' })
  patternId!: string;

  /** A newer version may ask something else: what is kept of an older one says nothing then. */
  @Property({ type: 'integer' })
  patternVersion!: number;

  @Property({ type: 'integer' })
  rung!: number;

  @Property({ type: 'json' })
  decision!: Decision;

  @Property({ type: 'json', nullable: true })
  held!: HeldOnRung | null;
}
