import { Entity, Property } from '@mikro-orm/core';
import type { AgeBand } from '@orthokin/contract';
import type { ColourVision, Side } from '@orthokin/core/floor';
import type { SimulatedAthlete } from '@orthokin/core/simulation';
import { ClubOwned } from '../../platform/storage/club-owned.js';

@Entity({ tableName: 'athlete' })
export class Athlete extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text' })
  hand!: Side;

  @Property({ type: 'text' })
  ageBand!: AgeBand;

  @Property({ type: 'text' })
  colourVision!: ColourVision;

  @Property({ type: 'text', nullable: true })
  note!: string | null;

  /** The pattern the athlete begins with; later they work on that of their newest set. */
  @Property({ type: 'uuid' })
  patternId!: string;

  /** What a simulated stand-in for this athlete plays with; `null` for a typical one. */
  @Property({ type: 'json', nullable: true })
  simulated!: SimulatedAthlete | null;
}
