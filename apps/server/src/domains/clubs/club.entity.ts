import type { LengthUnit } from '@orthokin/core/floor';
import type { FaultWordsBody } from '@orthokin/contract';
import { ArrayType, Entity, PrimaryKey, Property, type Opt } from '@mikro-orm/core';

@Entity({ tableName: 'club' })
export class Club {
  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @Property({ type: 'text' })
  name!: string;

  /** Empty if unknown. */
  @Property({ type: 'text' })
  sport!: string;

  /** The unit lengths are shown and entered in. */
  @Property({ type: 'text' })
  unit!: LengthUnit;

  /** After how many years inactive athletes are listed for erasing; `null` for never. */
  @Property({ type: 'integer', nullable: true })
  keepYears?: number | null;

  /** Beacon gateways its pages may connect to. They belong to the place, so the club's file does not contain them. */
  @Property({ type: ArrayType })
  gateways: string[] & Opt = [];

  /** The club's own faults. */
  @Property({ type: 'json' })
  faults!: FaultWordsBody[];
}
