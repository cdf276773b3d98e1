import type { LengthUnit } from '@orthokin/core/floor';
import type { FaultWordsBody } from '@orthokin/contract';
import { Entity, PrimaryKey, Property } from '@mikro-orm/core';

@Entity({ tableName: 'club' })
export class Club {
  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @Property({ type: 'text' })
  name!: string;

  /** Empty where nobody has said. */
  @Property({ type: 'text' })
  sport!: string;

  /** What lengths are shown and typed in. */
  @Property({ type: 'text' })
  unit!: LengthUnit;

  /** Faults in the club's own words. */
  @Property({ type: 'json' })
  faults!: FaultWordsBody[];
}
