import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { Decision, HeldOnRung } from '@orthokin/core/progress';

/**
 * An athlete's decision on a ladder, cached until a rep, a move or other settings delete it; the next request works
 * it out again.
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

  /** Cached for this version; a newer version may ask something else. */
  @Property({ type: 'integer' })
  patternVersion!: number;

  @Property({ type: 'integer' })
  rung!: number;

  @Property({ type: 'json' })
  decision!: Decision;

  @Property({ type: 'json', nullable: true })
  held!: HeldOnRung | null;
}
