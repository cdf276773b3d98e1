import { MAX_REPS } from '@orthokin/core/cue';
import {
  EVENT_NAMES,
  FAULTS,
  TIMING_SOURCES,
  type EventName,
  type Fault,
  type Rep,
  type TimedEvent,
  type TimingSource,
} from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

/** No set's clock runs longer than a day. */
const DAY_MS = 24 * 60 * 60 * 1000;
const MAX_SD_MS = 1000;
const MAX_SEED = 2 ** 32 - 1;

export class CueBody {
  @IsInt()
  @Min(1)
  @Max(MAX_REPS)
  ordinal: number;

  @Matches(/^[A-Z]$/, { message: 'target must be one capital letter' })
  target: string;

  @IsInt()
  @Min(0)
  @Max(60_000)
  foreperiodMs: number;
}

/** A set as it begins: who, what, in which order. Everything here stays as it is. */
export class DrillSetBody {
  @IsUUID()
  athleteId: string;

  @IsUUID()
  patternId: string;

  /** The version it is timed on; the set keeps it when a newer one is saved. */
  @IsInt()
  @Min(1)
  patternVersion: number;

  @IsInt()
  @Min(1)
  rung: number;

  @IsIn(TIMING_SOURCES)
  source: TimingSource;

  @IsISO8601({ strict: true, strictSeparator: true })
  startedAt: string;

  /** Calendar day where the set was run. */
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'day must be a date like 2026-01-31' })
  day: string;

  @IsInt()
  @Min(0)
  @Max(MAX_SEED)
  seed: number;

  @IsInt()
  @Min(0)
  @Max(1000)
  falseStartMs: number;

  @IsInt()
  @Min(500)
  @Max(60_000)
  responseLimitMs: number;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MAX_REPS)
  @ValidateNested({ each: true })
  @Type(() => CueBody)
  cues: CueBody[];
}

export const END_REASONS = ['completed', 'stopped early'] as const;
export type EndReason = (typeof END_REASONS)[number];

export class SetEndBody {
  @IsISO8601({ strict: true, strictSeparator: true })
  endedAt: string;

  @IsIn(END_REASONS)
  reason: EndReason;
}

export class EventBody implements TimedEvent {
  @IsIn(EVENT_NAMES)
  name: EventName;

  @IsNumber()
  @Min(-DAY_MS)
  @Max(DAY_MS)
  atMs: number;

  @IsNumber()
  @Min(0)
  @Max(MAX_SD_MS)
  sdMs: number;

  @IsIn(TIMING_SOURCES)
  source: TimingSource;
}

/** A repetition as it was recorded. A correction is another one that names the one it replaces. */
export class RepBody implements Rep {
  @IsInt()
  @Min(1)
  @Max(MAX_REPS)
  ordinal: number;

  @Matches(/^[A-Z]$/, { message: 'target must be one capital letter' })
  target: string;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(EVENT_NAMES.length)
  @ValidateNested({ each: true })
  @Type(() => EventBody)
  events: EventBody[];

  @IsArray()
  @ArrayUnique()
  @IsIn(FAULTS, { each: true })
  seenFaults: Fault[];

  @IsBoolean()
  struckOut: boolean;

  /** Id of the rep this one stands in for. */
  @IsOptional()
  @IsUUID(7)
  replaces: string | null;
}

export class RepReply extends RepBody {
  @IsUUID()
  id: string;
}

export class DrillSetReply extends DrillSetBody {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsISO8601()
  endedAt: string | null;

  @IsOptional()
  @IsIn(END_REASONS)
  endReason: EndReason | null;
}
