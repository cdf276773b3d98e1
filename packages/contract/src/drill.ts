import { LONGEST_NAME } from '@orthokin/core/people';
import { MAX_REPS, MAX_SEED } from '@orthokin/core/cue';
import { MAX_RUNGS } from '@orthokin/core/pattern';
import { END_REASONS, SET_SOURCES, type EndReason, type SetSource } from '@orthokin/core/run';
import {
  EVENT_NAMES,
  FAULTS,
  LONGEST_EVENT_NAME,
  MAX_SD_MS,
  MOST_COACH_EVENTS,
  TAKEN_EVENT_NAMES,
  TIMING_SOURCES,
  type CoachEvent,
  type EventName,
  type Fault,
  type Rep,
  type RepMarks,
  type TimedEvent,
  type TimingSource,
} from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNotIn,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDay, IsMoment } from './moment.js';
import { ConditionsBody, CueBody } from './conditions.js';
import { CAPITAL, ONE_CAPITAL } from './floor.js';
import { MAX_VERSION } from './paths.js';
import { LimitsBody } from './rung.js';

/** No set's clock runs longer than a day. */
const DAY_MS = 24 * 60 * 60 * 1000;
const MOST_CHECK_POINTS = 20;

/** A set as it begins: who does what, with which cues. It does not change afterwards. */
export class DrillSetBody {
  @IsUUID()
  athleteId: string;

  @IsUUID()
  patternId: string;

  /** The pattern version it is timed on; later versions do not affect the set. */
  @IsInt()
  @Min(1)
  @Max(MAX_VERSION)
  patternVersion: number;

  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  rung: number;

  @IsIn(SET_SOURCES)
  source: SetSource;

  @IsMoment()
  startedAt: string;

  /** Calendar day where the set was run. */
  @IsDay()
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

  @IsDefined()
  @ValidateNested()
  @Type(() => ConditionsBody)
  conditions: ConditionsBody;

  /** The athlete's own limits at the time, ms; absent: the rung's. */
  @IsOptional()
  @ValidateNested()
  @Type(() => LimitsBody)
  limitsMs?: LimitsBody | null;

  /** Empty if cues are called live. May be more than were run, if work is a time. */
  @IsArray()
  @ArrayMaxSize(MAX_REPS)
  @ValidateNested({ each: true })
  @Type(() => CueBody)
  cues: CueBody[];
}

export class SetEndBody {
  @IsMoment()
  endedAt: string;

  @IsIn(END_REASONS)
  reason: EndReason;
}

/** The time of an event, with its error and source. */
class Timed {
  /** On the set's own clock, ms. */
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

export class EventBody extends Timed implements TimedEvent {
  @IsIn(EVENT_NAMES)
  name: EventName;
}

export class CoachEventBody extends Timed implements CoachEvent {
  @IsString()
  @Length(1, LONGEST_EVENT_NAME)
  @IsNotIn(TAKEN_EVENT_NAMES)
  name: string;
}

export class CheckedBody {
  @IsInt()
  @Min(0)
  @Max(MOST_CHECK_POINTS)
  held: number;

  @IsInt()
  @Min(1)
  @Max(MOST_CHECK_POINTS)
  of: number;
}

export class RepMarksBody implements RepMarks {
  /** Whether the late cue was answered correctly. */
  @IsOptional()
  @IsBoolean()
  lateRight?: boolean;

  @IsOptional()
  @ValidateNested()
  @Type(() => CheckedBody)
  checked?: CheckedBody;

  /** Events of the coach's own, each once. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_COACH_EVENTS)
  @ArrayUnique(({ name }: CoachEventBody) => name)
  @ValidateNested({ each: true })
  @Type(() => CoachEventBody)
  coachEvents?: readonly CoachEventBody[];
}

/** A correction made after the set: by whom, and when. */
export class Corrected {
  @IsString()
  @Length(1, LONGEST_NAME)
  by: string;

  @IsMoment()
  at: string;
}

/** A recorded repetition. A correction is another rep that names the one it replaces. */
export class RepBody implements Rep {
  @IsInt()
  @Min(1)
  @Max(MAX_REPS)
  ordinal: number;

  @Matches(CAPITAL, ONE_CAPITAL)
  target: string;

  /** Empty for a catch trial in which the athlete stayed. */
  @IsArray()
  @ArrayMaxSize(EVENT_NAMES.length)
  @ValidateNested({ each: true })
  @Type(() => EventBody)
  events: EventBody[];

  @IsArray()
  @ArrayMaxSize(FAULTS.length)
  @ArrayUnique()
  @IsIn(FAULTS, { each: true })
  seenFaults: Fault[];

  @IsBoolean()
  struckOut: boolean;

  @IsOptional()
  @ValidateNested()
  @Type(() => RepMarksBody)
  marks?: RepMarksBody | null;

  /** The id of the rep this one replaces. */
  @IsOptional()
  @IsUUID(7)
  replaces: string | null;

  /** Only for a correction made in the review. */
  @IsOptional()
  @ValidateNested()
  @Type(() => Corrected)
  corrected?: Corrected | null;
}

export class RepReply extends RepBody {
  @IsUUID()
  id: string;
}

export class DrillSetReply extends DrillSetBody {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsMoment()
  endedAt: string | null;

  @IsOptional()
  @IsIn(END_REASONS)
  endReason: EndReason | null;
}
