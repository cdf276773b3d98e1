import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { ScoreBody } from '@orthokin/contract';

/** Somebody at a session: a row of its own, so that it goes with whoever is deleted. */
@Entity({ tableName: 'attendance' })
export class Attendance {
  [PrimaryKeyProp]?: ['clubId', 'sessionId', 'athleteId'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  sessionId!: string;

  @PrimaryKey({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'int' })
  minutes!: number;

  /** 0 to 10; `null` where it was not asked. */
  @Property({ type: 'int', nullable: true })
  effort!: number | null;

  @Property({ type: 'json' })
  scores!: readonly ScoreBody[];
}
