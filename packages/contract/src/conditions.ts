import {
  CUE_ORDERS,
  FOREPERIOD_KINDS,
  FREEZE_AT,
  LATE_COLOURS,
  LATE_KINDS,
  LATE_SIDES,
  LONGEST_FOREPERIOD_MS,
  MAX_MOVED_M,
  MAX_REPS,
  type Cue,
  type CueOrder,
  type Foreperiod,
  type FreezeAt,
  type LateCue,
  type LateKind,
} from '@orthokin/core/cue';
import {
  CUE_KINDS,
  HOME_RULES,
  LEAST_FLOOR_SHARE,
  LOSS_COST_LIMITS,
  PACE_KINDS,
  STAIRCASE_LIMITS,
  type Conditions,
  type CueKind,
  type Eased,
  type HomeRule,
  type LossCost,
  type Pace,
  type StaircaseSteps,
} from '@orthokin/core/drill';
import { MAX_TARGETS } from '@orthokin/core/pattern';
import { FAULTS, MOST_WATCHED, type Fault } from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  Equals,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsPositive,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { OrNull } from './or-null.js';
import { CAPITAL, EACH_CAPITAL, ONE_CAPITAL } from './floor.js';

const LONGEST_WORK_MS = 10 * 60 * 1000;

export class SwitchBody {
  @Matches(CAPITAL, ONE_CAPITAL)
  target: string;

  @IsInt()
  @Min(1)
  @Max(1000)
  afterMs: number;
}

export class LateCueBody implements LateCue {
  @IsIn(LATE_KINDS)
  kind: LateKind;

  @IsIn([...LATE_COLOURS, ...LATE_SIDES])
  show: LateCue['show'];
}

export class CueBody implements Cue {
  @IsInt()
  @Min(1)
  @Max(MAX_REPS)
  ordinal: number;

  @Matches(CAPITAL, ONE_CAPITAL)
  target: string;

  @IsInt()
  @Min(0)
  @Max(LONGEST_FOREPERIOD_MS)
  foreperiodMs: number;

  /** Only present, and true, on a catch trial: a ready signal without a cue. */
  @IsOptional()
  @Equals(true)
  catch?: true;

  /** Switch trial: the target the cue changes to. */
  @IsOptional()
  @ValidateNested()
  @Type(() => SwitchBody)
  switchTo?: SwitchBody;

  /** Freeze trial: the position at which "freeze" is called. */
  @IsOptional()
  @IsIn(FREEZE_AT)
  freezeAt?: FreezeAt;

  /** Late cue: what appears at arrival. */
  @IsOptional()
  @ValidateNested()
  @Type(() => LateCueBody)
  late?: LateCueBody;

  /** How far the target is moved outwards for this rep, m; negative is inwards. */
  @IsOptional()
  @Min(-MAX_MOVED_M)
  @Max(MAX_MOVED_M)
  movedM?: number;
}

export class ForeperiodBody implements Foreperiod {
  @IsIn(FOREPERIOD_KINDS)
  kind: Foreperiod['kind'];

  @Min(0)
  @Max(LONGEST_FOREPERIOD_MS)
  leastMs: number;

  @Min(0)
  @Max(LONGEST_FOREPERIOD_MS)
  mostMs: number;
}

const within =
  ([least, most]: readonly [least: number, most: number]): PropertyDecorator =>
  (target, name) => {
    Min(least)(target, name);
    Max(most)(target, name);
  };

export class StaircaseStepsBody implements StaircaseSteps {
  @IsInt()
  @within(STAIRCASE_LIMITS.passesInARow)
  passesInARow: number;

  @within(STAIRCASE_LIMITS.stepMs)
  stepMs: number;

  @within(STAIRCASE_LIMITS.stepMs)
  leastStepMs: number;

  @IsInt()
  @within(STAIRCASE_LIMITS.reversals)
  reversals: number;
}

export class PaceBody implements Pace {
  @IsIn(PACE_KINDS)
  kind: Pace['kind'];

  /** Milliseconds between cues; null at the athlete's own pace. */
  @OrNull()
  @Min(500)
  @Max(60_000)
  everyMs: number | null;

  /** Only for a staircase. */
  @ValidateIf(({ kind, steps }: PaceBody) => kind === 'staircase' || steps !== undefined)
  @IsDefined()
  @ValidateNested()
  @Type(() => StaircaseStepsBody)
  steps?: StaircaseStepsBody;
}

export class EasedBody implements Eased {
  @OrNull()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MAX_TARGETS)
  @ArrayUnique()
  @Matches(CAPITAL, EACH_CAPITAL)
  targets: string[] | null;

  @IsNumber()
  @Min(LEAST_FLOOR_SHARE)
  @Max(1)
  floorShare: number;
}

export class LossCostBody implements LossCost {
  @IsInt()
  @within(LOSS_COST_LIMITS.reps)
  reps: number;

  @IsInt()
  @within(LOSS_COST_LIMITS.most)
  most: number;
}

/** How a set is run: its cues, and what counts. */
export class ConditionsBody implements Conditions {
  @IsIn(CUE_ORDERS)
  order: CueOrder;

  /** For a known order: the targets in order. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_REPS)
  @Matches(CAPITAL, EACH_CAPITAL)
  list?: string[];

  /** For a free order: relative weights by letter. */
  @IsOptional()
  @IsObject()
  weights?: Record<string, number>;

  @IsInt()
  @Min(1)
  @Max(MAX_REPS)
  maxRun: number;

  @IsDefined()
  @ValidateNested()
  @Type(() => ForeperiodBody)
  foreperiod: ForeperiodBody;

  @Min(0)
  @Max(1)
  catchShare: number;

  @Min(0)
  @Max(1)
  switchShare: number;

  @Min(0)
  @Max(1)
  freezeShare: number;

  @IsInt()
  @Min(1)
  @Max(1000)
  switchAfterMs: number;

  @IsIn(FREEZE_AT)
  freezeAt: FreezeAt;

  @IsIn([null, ...LATE_KINDS])
  late: LateKind | null;

  @Min(0)
  @Max(MAX_MOVED_M)
  varyM: number;

  @IsDefined()
  @ValidateNested()
  @Type(() => PaceBody)
  pace: PaceBody;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(2)
  @ArrayUnique()
  @IsIn(CUE_KINDS, { each: true })
  cueKinds: CueKind[];

  @IsIn(HOME_RULES)
  homeRule: HomeRule;

  @IsArray()
  @ArrayMaxSize(MOST_WATCHED)
  @ArrayUnique()
  @IsIn(FAULTS, { each: true })
  watched: Fault[];

  /** Milliseconds of work; null if the set is a number of reps. */
  @OrNull()
  @IsPositive()
  @Max(LONGEST_WORK_MS)
  workMs: number | null;

  /** For a set that asks less than its rung. */
  @IsOptional()
  @ValidateNested()
  @Type(() => EasedBody)
  eased?: EasedBody | null;

  /** For a pressure set: what a lost rep adds. */
  @IsOptional()
  @ValidateNested()
  @Type(() => LossCostBody)
  lossCost?: LossCostBody | null;

  /** For a quality set: when failing technique ends it. */
  @IsOptional()
  @IsBoolean()
  endsOnFaults?: boolean;
}
