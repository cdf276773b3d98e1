import { COURT_NAMES, SIDES, type CourtName, type Side } from '@orthokin/core/floor';
import { MAX_RUNGS, MAX_TARGETS, type Pattern } from '@orthokin/core/pattern';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { OrNull } from './or-null.js';
import { HomeBaseBody, SizeBody, TargetBody } from './floor.js';
import { BuildBody, LegBody, PositionNotesBody, StandingBody } from './footwork.js';
import { RungBody } from './rung.js';

export class SharedPositionsBody {
  @IsDefined()
  @ValidateNested()
  @Type(() => PositionNotesBody)
  stance: PositionNotesBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => PositionNotesBody)
  split: PositionNotesBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => PositionNotesBody)
  recovery: PositionNotesBody;
}

export class AcceptedBody {
  @IsString()
  @MaxLength(120)
  finding: string;

  @IsString()
  @MinLength(1)
  @MaxLength(200)
  reason: string;
}

/** A pattern, as it is saved, sent and stored in files. */
export class PatternBody implements Pattern {
  @IsString()
  @MinLength(1)
  @MaxLength(80)
  name: string;

  @IsString()
  @MaxLength(40)
  sport: string;

  @IsString()
  @MaxLength(2000)
  notes: string;

  @IsArray()
  @ArrayMaxSize(12)
  @IsString({ each: true })
  @MaxLength(30, { each: true })
  tags: string[];

  @IsIn(SIDES)
  hand: Side;

  @IsIn(COURT_NAMES)
  court: CourtName;

  /** Only for a court whose size is not fixed by its rules; otherwise null. */
  @OrNull()
  @IsDefined()
  @ValidateNested()
  @Type(() => SizeBody)
  sizeM: SizeBody | null;

  @IsDefined()
  @ValidateNested()
  @Type(() => HomeBaseBody)
  home: HomeBaseBody;

  @IsArray()
  @ArrayMaxSize(MAX_TARGETS)
  @ValidateNested({ each: true })
  @Type(() => TargetBody)
  targets: TargetBody[];

  @IsDefined()
  @ValidateNested()
  @Type(() => StandingBody)
  stance: StandingBody;

  /** Milliseconds relative to the cue, earliest first. */
  @IsNumber({}, { each: true })
  @Min(-1000, { each: true })
  @Max(1000, { each: true })
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  splitWindowMs: [number, number];

  @IsArray()
  @ArrayMaxSize(MAX_TARGETS)
  @ValidateNested({ each: true })
  @Type(() => LegBody)
  legs: LegBody[];

  @IsDefined()
  @ValidateNested()
  @Type(() => SharedPositionsBody)
  positions: SharedPositionsBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => BuildBody)
  laidFor: BuildBody;

  @IsArray()
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => AcceptedBody)
  accepted: AcceptedBody[];

  @IsArray()
  @ArrayMaxSize(MAX_RUNGS)
  @ValidateNested({ each: true })
  @Type(() => RungBody)
  rungs: RungBody[];
}
