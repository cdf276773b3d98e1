import {
  COURT_NAMES,
  MARKER_COLOURS,
  MARKER_SHAPES,
  TARGET_KINDS,
  type CourtName,
  type MarkerColour,
  type MarkerShape,
  type Target,
  type TargetKind,
} from '@orthokin/core/floor';
import type { HomeBase, Pattern, Rung } from '@orthokin/core/pattern';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsPositive,
  IsString,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

/** A pattern is drawn within this of home base, metres. */
const FLOOR_LIMIT_M = 60;

export class PointReply {
  @IsNumber()
  @Min(-FLOOR_LIMIT_M)
  @Max(FLOOR_LIMIT_M)
  x: number;

  @IsNumber()
  @Min(-FLOOR_LIMIT_M)
  @Max(FLOOR_LIMIT_M)
  y: number;
}

export class TargetReply implements Target {
  @Matches(/^[A-Z]$/)
  letter: string;

  @IsString()
  name: string;

  @IsIn(TARGET_KINDS)
  kind: TargetKind;

  @IsIn(MARKER_SHAPES)
  shape: MarkerShape;

  @IsIn(MARKER_COLOURS)
  colour: MarkerColour;

  @ValidateNested()
  @Type(() => PointReply)
  at: PointReply;

  @IsPositive()
  radiusM: number;
}

export class HomeBaseReply implements HomeBase {
  @ValidateNested()
  @Type(() => PointReply)
  onCourt: PointReply;

  @IsPositive()
  radiusM: number;
}

export class LimitsReply {
  @IsOptional()
  @IsPositive()
  reaction?: number;

  @IsOptional()
  @IsPositive()
  response?: number;

  @IsOptional()
  @IsPositive()
  recovery?: number;

  @IsOptional()
  @IsPositive()
  cycle?: number;
}

export class RungReply implements Rung {
  @IsInt()
  @Min(1)
  number: number;

  @IsString()
  name: string;

  @IsArray()
  @Matches(/^[A-Z]$/, { each: true })
  targets: string[];

  /** Milliseconds. */
  @ValidateNested()
  @Type(() => LimitsReply)
  limitsMs: LimitsReply;

  @Min(0)
  @Max(1)
  passShare: number;

  @Min(0)
  @Max(1)
  falseStartShare: number;

  @IsInt()
  @Min(1)
  minValidReps: number;
}

export class PatternReply implements Pattern {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsIn(COURT_NAMES)
  court: CourtName;

  @ValidateNested()
  @Type(() => HomeBaseReply)
  home: HomeBaseReply;

  @ValidateNested({ each: true })
  @Type(() => TargetReply)
  targets: TargetReply[];

  @IsNumber({}, { each: true })
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  splitWindowMs: [number, number];

  @ValidateNested({ each: true })
  @Type(() => RungReply)
  rungs: RungReply[];
}
