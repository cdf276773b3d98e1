import { Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { SquadForm } from '@orthokin/core/stats';

/** What is usual in a squad, kept for one day: what is usual does not change with a set. */
@Entity({ tableName: 'squad_form' })
export class SquadFormRow {
  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  /** The weeks looked back on end with this day, `YYYY-MM-DD`, UTC. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'json' })
  form!: SquadForm;
}
