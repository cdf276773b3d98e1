import type { LengthUnit } from '@orthokin/core/floor';
import type { FaultWordsBody } from '@orthokin/contract';
import { ArrayType, Entity, PrimaryKey, Property, type Opt } from '@mikro-orm/core';

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

  /** After how many years it is reminded of those who do not train any more; `null` for never. */
  @Property({ type: 'integer', nullable: true })
  keepYears?: number | null;

  /** Gateways of beacons that its pages may connect to; of the place it is at, so not of its file. */
  @Property({ type: ArrayType })
  gateways: string[] & Opt = [];

  /** Faults in the club's own words. */
  @Property({ type: 'json' })
  faults!: FaultWordsBody[];
}
