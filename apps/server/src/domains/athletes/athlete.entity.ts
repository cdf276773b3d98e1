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

  /** The pattern the athlete begins with; later they work on that of their newest set. */
  @Property({ type: 'uuid' })
  patternId!: string;

  /** What the coach calls across the floor. */
  @Property({ type: 'text', nullable: true })
  called!: string | null;

  /** Calendar day, `YYYY-MM-DD`; where it is known the age band follows from it. */
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

  /** From the shoulder to the end of the implement, arm stretched. */
  @Property({ type: 'double', nullable: true })
  reachM!: number | null;

  /** With what is held, where it was measured with that. */
  @Property({ type: 'json', nullable: true })
  reaches!: Reaches | null;

  /** In their own words. */
  @Property({ type: 'text', nullable: true })
  goal!: string | null;

  @Property({ type: 'text', nullable: true })
  sports!: string | null;

  /** Faults that are watched in them. */
  @Property({ type: 'json' })
  watched!: Fault[];

  /** Who to call, and what a helper must know. */
  @Property({ type: Sealed, nullable: true })
  emergency!: EmergencyBody | null;

  /** Put away: in no list of who trains. */
  @Property({ type: 'datetime', nullable: true })
  archivedAt!: Date | null;

  /** Counts what is changed of them. */
  @Property({ type: 'integer' })
  revision: number & Opt = 1;

  /** What a simulated stand-in for this athlete plays with; `null` for a typical one. */
  @Property({ type: 'json', nullable: true })
  simulated!: SimulatedAthlete | null;
}
