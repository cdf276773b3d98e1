import {
  AXIS_ORDERS,
  EFFORT_NAMES,
  RULE_KINDS,
  SCHOOL_NAMES,
  type AxisOrder,
  type EffortName,
  type LadderSettings,
  type OwnLimits,
  type Rule,
  type SchoolName,
  type StandardTest,
} from '@orthokin/core/progress';
import { MAX_SEED } from '@orthokin/core/cue';
import {
  MAX_RUNGS,
  MAX_TARGETS,
  TARGETED_DURATIONS,
  type LimitSources,
} from '@orthokin/core/pattern';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsPositive,
  IsUUID,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { IsMoment } from './moment.js';
import { OrNull } from './or-null.js';
import { LimitsBody, LimitSourcesBody, TargetLimitBody } from './rung.js';

const of = (kind: Rule['kind']) => ValidateIf(({ kind: own }: RuleBody) => own === kind);

/** A rule with its kind's settings, which are validated by kind. */
export class RuleBody {
  @IsIn(RULE_KINDS)
  kind: Rule['kind'];

  @of('count')
  @IsInt()
  @Min(1)
  @Max(20)
  setsNeeded?: number;

  @of('count')
  @IsInt()
  @Min(1)
  @Max(20)
  ofLast?: number;

  @of('count')
  @IsInt()
  @Min(1)
  @Max(20)
  distinctDays?: number;

  @of('sequential')
  @IsNumber()
  @Min(0)
  @Max(1)
  p0?: number;

  @of('sequential')
  @IsNumber()
  @Min(0)
  @Max(1)
  p1?: number;

  @of('sequential')
  @IsNumber()
  @Min(0)
  @Max(1)
  alpha?: number;

  @of('sequential')
  @IsNumber()
  @Min(0)
  @Max(1)
  beta?: number;

  @of('staircase')
  @IsInt()
  @Min(1)
  @Max(20)
  passesInARow?: number;

  @of('staircase')
  @IsPositive()
  @Max(60_000)
  stepMs?: number;

  @of('staircase')
  @IsPositive()
  @Max(60_000)
  leastStepMs?: number;

  @of('staircase')
  @IsInt()
  @Min(1)
  @Max(100)
  reversals?: number;
}

const MAX_TEST_REPS = 60;

export class StandardTestBody implements StandardTest {
  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  rung: number;

  @IsInt()
  @Min(4)
  @Max(MAX_TEST_REPS)
  reps: number;

  @IsInt()
  @Min(0)
  @Max(MAX_SEED)
  seed: number;
}

/** How a pattern's ladder is climbed. */
export class LadderSettingsBody implements LadderSettings {
  @IsDefined()
  @ValidateNested()
  @Type(() => RuleBody)
  rule: Rule;

  @IsIn(AXIS_ORDERS)
  axis: AxisOrder;

  @IsIn(SCHOOL_NAMES)
  school: SchoolName;

  @IsIn(EFFORT_NAMES)
  effort: EffortName;

  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => StandardTestBody)
  test: StandardTestBody | null;

  @IsOptional()
  @IsBoolean()
  onWord?: boolean;
}

/** A pattern's ladder settings; the newest saved are valid. */
export class LadderBody {
  @IsUUID()
  patternId: string;

  @IsMoment()
  savedAt: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => LadderSettingsBody)
  settings: LadderSettingsBody;
}

export class OwnLimitsBody implements OwnLimits {
  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  rung: number;

  /** Milliseconds. */
  @IsDefined()
  @ValidateNested()
  @Type(() => LimitsBody)
  limitsMs: LimitsBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => LimitSourcesBody)
  limitSources: LimitSources;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(TARGETED_DURATIONS.length * MAX_TARGETS)
  @ValidateNested({ each: true })
  @Type(() => TargetLimitBody)
  targetLimits?: readonly TargetLimitBody[];
}

/** An athlete's own limits on a pattern's rungs; the newest saved replace all earlier ones. */
export class OwnLadderBody {
  @IsUUID()
  athleteId: string;

  @IsUUID()
  patternId: string;

  @IsMoment()
  savedAt: string;

  @IsArray()
  @ArrayMaxSize(MAX_RUNGS)
  @ValidateNested({ each: true })
  @Type(() => OwnLimitsBody)
  limits: OwnLimitsBody[];
}
