import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { ScoreBody } from '@orthokin/contract';

/** Somebody's attendance of a session. A row of its own, so that it is deleted with the athlete. */
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

  /** Session effort, 0 to 10; `null` if not asked. */
  @Property({ type: 'int', nullable: true })
  effort!: number | null;

  @Property({ type: 'json' })
  scores!: readonly ScoreBody[];
}
