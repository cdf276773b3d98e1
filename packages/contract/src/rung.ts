import { MAX_REPS } from '@orthokin/core/cue';
import {
  DOINGS,
  EVENT_ANCHORS,
  LIMIT_SOURCES,
  MAX_RUNGS,
  MAX_TARGETS,
  MOST_COACH_LIMITS,
  PRESSURES,
  RECORD_KINDS,
  RUNG_ORDERS,
  TARGETED_DURATIONS,
  USUAL_RUNG,
  type CoachLimit,
  type Doing,
  type EventAnchor,
  type LimitSource,
  type LimitSources,
  type Pressure,
  type RecordKind,
  type Rung,
  type RungOrder,
  type TargetedDuration,
  type TargetLimit,
} from '@orthokin/core/pattern';
import { LONGEST_EVENT_NAME, TAKEN_EVENT_NAMES } from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsNotIn,
  IsNumber,
  IsOptional,
  IsPositive,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { OrNull } from './or-null.js';
import { CAPITAL, EACH_CAPITAL, ONE_CAPITAL } from './floor.js';

/** Longest possible limit, ms. */
const LONGEST_LIMIT_MS = 60_000;

export class LimitsBody {
  @IsOptional()
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  reaction?: number;

  @IsOptional()
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  response?: number;

  @IsOptional()
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  recovery?: number;

  @IsOptional()
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  cycle?: number;
}

/** Where a limit comes from. */
export class LimitSourceBody {
  @IsIn(LIMIT_SOURCES)
  kind: LimitSource['kind'];

  @ValidateIf(({ kind }: LimitSourceBody) => kind !== 'coach')
  @IsPositive()
  @Max(5)
  factor?: number;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'reckoned')
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  reckonedMs?: number;

  /** For a calculated limit: what it was calculated from; one of `RECKONINGS`, or the coach's own text. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'reckoned')
  @IsString()
  @MaxLength(200)
  how?: string;

  /** For a reaction to a choice: the number of targets. */
  @IsOptional()
  @IsInt()
  @Min(2)
  @Max(MAX_TARGETS)
  choices?: number;

  /** For a reaction to a choice: the assumed cost of a bit, ms. */
  @IsOptional()
  @Min(0)
  @Max(1000)
  msPerBit?: number;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'budget')
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  budgetMs?: number;

  /** For a budget: what flies, how fast and how far, in words. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'budget')
  @IsString()
  @MaxLength(200)
  flight?: string;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'record')
  @IsIn(RECORD_KINDS)
  of?: RecordKind;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'record')
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  recordMs?: number;

  /** For the athlete's own travel line: its prediction for the target. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'own line')
  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  lineMs?: number;

  /** For a record or an own travel line: the number of reps or distances behind it. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'record' || kind === 'own line')
  @IsInt()
  @Min(1)
  @Max(1_000_000)
  n?: number;
}

export class LimitSourcesBody {
  @IsOptional()
  @ValidateNested()
  @Type(() => LimitSourceBody)
  reaction?: LimitSourceBody;

  @IsOptional()
  @ValidateNested()
  @Type(() => LimitSourceBody)
  response?: LimitSourceBody;

  @IsOptional()
  @ValidateNested()
  @Type(() => LimitSourceBody)
  recovery?: LimitSourceBody;

  @IsOptional()
  @ValidateNested()
  @Type(() => LimitSourceBody)
  cycle?: LimitSourceBody;
}

/** The limit of one target. */
export class TargetLimitBody implements TargetLimit {
  @IsIn(TARGETED_DURATIONS)
  gate: TargetedDuration;

  @Matches(CAPITAL, ONE_CAPITAL)
  target: string;

  @IsPositive()
  @Max(LONGEST_LIMIT_MS)
  limitMs: number;

  @IsDefined()
  @ValidateNested()
  @Type(() => LimitSourceBody)
  source: LimitSource;
}

/** The latest time an event of the coach's own may have. */
export class CoachLimitBody implements CoachLimit {
  @IsString()
  @Length(1, LONGEST_EVENT_NAME)
  @IsNotIn(TAKEN_EVENT_NAMES)
  event: string;

  @IsIn(EVENT_ANCHORS)
  from: EventAnchor;

  /** Milliseconds after the reference event; negative is before. */
  @IsNumber()
  @Min(-LONGEST_LIMIT_MS)
  @Max(LONGEST_LIMIT_MS)
  limitMs: number;
}

const MOST_TIME = 3;
const MOST_SCALE = 2;

/** A rung. Absent fields have defaults, so that older files can be read. */
export class RungBody implements Rung {
  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  number: number;

  @IsString()
  @MaxLength(80)
  name: string;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MAX_TARGETS)
  @Matches(CAPITAL, EACH_CAPITAL)
  targets: string[];

  @IsIn(RUNG_ORDERS)
  order: RungOrder = USUAL_RUNG.order;

  @Min(0)
  @Max(1)
  catchShare: number = USUAL_RUNG.catchShare;

  @Min(0)
  @Max(1)
  switchShare: number = USUAL_RUNG.switchShare;

  @IsPositive()
  @Max(MOST_TIME)
  timeFactor: number = USUAL_RUNG.timeFactor;

  @IsIn(DOINGS)
  doing: Doing = USUAL_RUNG.doing;

  @IsIn(PRESSURES)
  pressure: Pressure = USUAL_RUNG.pressure;

  @IsPositive()
  @Max(MOST_SCALE)
  floorScale: number = USUAL_RUNG.floorScale;

  /** Milliseconds. */
  @IsDefined()
  @ValidateNested()
  @Type(() => LimitsBody)
  limitsMs: LimitsBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => LimitSourcesBody)
  limitSources: LimitSources = USUAL_RUNG.limitSources;

  /** Limits for single targets, in place of the rung's. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_TARGETS * TARGETED_DURATIONS.length)
  @ValidateNested({ each: true })
  @Type(() => TargetLimitBody)
  targetLimits?: readonly TargetLimitBody[];

  /** Limits for events of the coach's own. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_COACH_LIMITS)
  @ValidateNested({ each: true })
  @Type(() => CoachLimitBody)
  coachLimits?: readonly CoachLimitBody[];

  @Min(0)
  @Max(1)
  passShare: number;

  @Min(0)
  @Max(1)
  falseStartShare: number;

  @Min(0)
  @Max(1)
  cleanShare: number = USUAL_RUNG.cleanShare;

  @Min(0)
  @Max(1)
  heldShare: number = USUAL_RUNG.heldShare;

  @OrNull()
  @IsPositive()
  @Max(2)
  mostSpread: number | null = USUAL_RUNG.mostSpread;

  @IsInt()
  @Min(1)
  @Max(MAX_REPS)
  minValidReps: number;
}
