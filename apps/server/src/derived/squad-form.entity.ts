import { Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { SquadForm } from '@orthokin/core/stats';

/** A squad's usual day form and worthwhile change, cached for a day: a single set hardly changes them. */
@Entity({ tableName: 'squad_form' })
export class SquadFormRow {
  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  /** The last day (`YYYY-MM-DD`, UTC) of the weeks it covers. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'json' })
  form!: SquadForm;
}
