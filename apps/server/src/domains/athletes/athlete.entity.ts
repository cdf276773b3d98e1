import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { ColourVision, Side } from '@orthokin/core/floor';
import type { AgeBand, Reaches } from '@orthokin/core/people';
import type { SimulatedAthlete } from '@orthokin/core/simulation';
import type { EmergencyBody } from '@orthokin/contract';
import type { Fault } from '@orthokin/core/timing';
import { ClubOwned } from '../../platform/storage/club-owned.js';
import { Sealed } from '../../platform/storage/sealed.js';

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

  @Property({ type: Sealed, nullable: true })
  note!: string | null;

  /** The pattern to begin with; later athletes work on the pattern of their newest set. */
  @Property({ type: 'uuid' })
  patternId!: string;

  /** The short name a coach calls. */
  @Property({ type: 'text', nullable: true })
  called!: string | null;

  /** `YYYY-MM-DD`; if known the age band follows from it. */
  @Property({ type: Sealed, nullable: true })
  bornOn!: string | null;

  /** The dominant foot. */
  @Property({ type: 'text', nullable: true })
  foot!: Side | null;

  @Property({ type: 'double', nullable: true })
  heightM!: number | null;

  @Property({ type: 'double', nullable: true })
  shoulderM!: number | null;

  @Property({ type: 'double', nullable: true })
  hipM!: number | null;

  /** From the shoulder to the end of the implement, arm stretched, m. */
  @Property({ type: 'double', nullable: true })
  reachM!: number | null;

  /** The implement it was measured with, if any. */
  @Property({ type: 'json', nullable: true })
  reaches!: Reaches | null;

  /** In the athlete's own words. */
  @Property({ type: 'text', nullable: true })
  goal!: string | null;

  @Property({ type: 'text', nullable: true })
  sports!: string | null;

  /** Faults watched in this athlete. */
  @Property({ type: 'json' })
  watched!: Fault[];

  /** Emergency contact, and what a helper must know. */
  @Property({ type: Sealed, nullable: true })
  emergency!: EmergencyBody | null;

  /** When the athlete was archived; archived athletes are in no training list. */
  @Property({ type: 'datetime', nullable: true })
  archivedAt!: Date | null;

  /** Counts changes, for optimistic locking. */
  @Property({ type: 'integer' })
  revision: number & Opt = 1;

  /** Parameters of the simulated stand-in for this athlete; `null` for a typical one. */
  @Property({ type: 'json', nullable: true })
  simulated!: SimulatedAthlete | null;
}
