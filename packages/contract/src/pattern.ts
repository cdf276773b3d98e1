import {
  COURT_NAMES,
  MARKER_COLOURS,
  MARKER_SHAPES,
  SIDES,
  TARGET_KINDS,
  type CourtName,
  type MarkerColour,
  type MarkerShape,
  type Side,
  type SizeM,
  type Target,
  type TargetKind,
} from '@orthokin/core/floor';
import {
  DOINGS,
  LIMIT_SOURCES,
  MAX_TARGETS,
  PRESSURES,
  RECORD_KINDS,
  RUNG_ORDERS,
  USUAL_RUNG,
  type Doing,
  type HomeBase,
  type LimitSource,
  type LimitSources,
  type Pattern,
  type Pressure,
  type RecordKind,
  type Rung,
  type RungOrder,
} from '@orthokin/core/pattern';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsPositive,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import {
  BuildBody,
  CAPITAL,
  LegBody,
  PointBody,
  PositionNotesBody,
  StandingBody,
} from './footwork.js';

export const MAX_RUNGS = 30;

export class TargetBody implements Target {
  @Matches(CAPITAL, { message: 'letter must be one capital letter' })
  letter: string;

  @IsString()
  @MinLength(1)
  @MaxLength(40)
  name: string;

  @IsIn(TARGET_KINDS)
  kind: TargetKind;

  @IsIn(MARKER_SHAPES)
  shape: MarkerShape;

  @IsIn(MARKER_COLOURS)
  colour: MarkerColour;

  @IsDefined()
  @ValidateNested()
  @Type(() => PointBody)
  at: PointBody;

  @IsPositive()
  @Max(3)
  radiusM: number;
}

export class HomeBaseBody implements HomeBase {
  @IsDefined()
  @ValidateNested()
  @Type(() => PointBody)
  onCourt: PointBody;

  @IsPositive()
  @Max(3)
  radiusM: number;
}

export class SizeBody implements SizeM {
  @Min(1)
  @Max(120)
  widthM: number;

  @Min(1)
  @Max(120)
  lengthM: number;
}

export class LimitsBody {
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
  reckonedMs?: number;

  /** Of what was reckoned: how, in words. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'reckoned')
  @IsString()
  @MaxLength(200)
  how?: string;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'budget')
  @IsPositive()
  budgetMs?: number;

  /** Of a budget: what flies, how fast and how far, in words. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'budget')
  @IsString()
  @MaxLength(200)
  flight?: string;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'record')
  @IsIn(RECORD_KINDS)
  of?: RecordKind;

  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'record')
  @IsPositive()
  recordMs?: number;

  /** Of a record: the reps it comes from. */
  @ValidateIf(({ kind }: LimitSourceBody) => kind === 'record')
  @IsInt()
  @Min(1)
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

const MOST_TIME = 3;
const MOST_SCALE = 2;

/** What is not said is as usual: files from before these were written down can still be read. */
export class RungBody implements Rung {
  @IsInt()
  @Min(1)
  number: number;

  @IsString()
  @MaxLength(80)
  name: string;

  @IsArray()
  @ArrayMinSize(1)
  @Matches(CAPITAL, { each: true, message: 'each target must be one capital letter' })
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

  @ValidateIf((_, spread) => spread !== null)
  @IsPositive()
  @Max(2)
  mostSpread: number | null = USUAL_RUNG.mostSpread;

  @IsInt()
  @Min(1)
  minValidReps: number;
}

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

/** A pattern as it is saved, sent and kept in files. */
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

  /** Only for a court that has no size by its rules; otherwise null. */
  @ValidateIf((_, size) => size !== null)
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

  /** Milliseconds about the cue, the earliest first. */
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

/** One version of a pattern. What is timed on it keeps this version, whatever is saved later. */
export class PatternReply extends PatternBody {
  @IsUUID()
  id: string;

  @IsInt()
  @Min(1)
  version: number;
}

/** A pattern in the library: its newest version, drawn small. */
export class PatternLineReply {
  @IsUUID()
  id: string;

  @IsInt()
  version: number;

  @IsISO8601()
  savedAt: string;

  @IsBoolean()
  archived: boolean;

  /** Sets timed on any of its versions. */
  @IsInt()
  sets: number;

  @ValidateNested()
  @Type(() => PatternBody)
  pattern: PatternBody;
}

export class ArchivedBody {
  @IsBoolean()
  archived: boolean;
}
