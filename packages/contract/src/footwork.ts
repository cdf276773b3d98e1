import { SIDES, type Side } from '@orthokin/core/floor';
import {
  INTENTS,
  LOAD_STANCES,
  PLACEMENT_PHASES,
  RECOVERY_WAYS,
  STEP_KINDS,
  TRAVEL_WAYS,
  type Build,
  type FootPlace,
  type Intent,
  type Leg,
  type LoadStance,
  type Placement,
  type PlacementPhase,
  type PositionNotes,
  type RecoveryWay,
  type Standing,
  type StepKind,
  type TravelWay,
} from '@orthokin/core/pattern';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsNumber,
  IsPositive,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { CAPITAL, ONE_CAPITAL, PointBody } from './floor.js';

/** No leg takes longer, ms. */
const LEG_LIMIT_MS = 60_000;
const MAX_PLACEMENTS = 200;
const MAX_CHECK_POINTS = 12;

export class FootPlaceBody implements FootPlace {
  @IsDefined()
  @ValidateNested()
  @Type(() => PointBody)
  at: PointBody;

  /** Degrees clockwise from forward. */
  @IsNumber()
  @Min(-360)
  @Max(360)
  headingDeg: number;
}

export class StandingBody implements Standing {
  @IsDefined()
  @ValidateNested()
  @Type(() => FootPlaceBody)
  left: FootPlaceBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => FootPlaceBody)
  right: FootPlaceBody;

  @IsNumber()
  @Min(0)
  @Max(1)
  leftWeight: number;
}

export class PlacementBody extends FootPlaceBody implements Placement {
  @IsIn(SIDES)
  foot: Side;

  /** Milliseconds, 0 at the cue. */
  @IsNumber()
  @Min(-LEG_LIMIT_MS)
  @Max(LEG_LIMIT_MS)
  atMs: number;

  @IsIn(PLACEMENT_PHASES)
  phase: PlacementPhase;

  @IsIn(STEP_KINDS)
  kind: StepKind;

  @IsNumber()
  @Min(0)
  @Max(1)
  weight: number;
}

export class PositionNotesBody implements PositionNotes {
  /** At most five words. */
  @IsString()
  @MaxLength(60)
  cue: string;

  @IsArray()
  @ArrayMaxSize(MAX_CHECK_POINTS)
  @IsString({ each: true })
  @MaxLength(120, { each: true })
  checkPoints: string[];
}

export class LegNotesBody {
  @IsDefined()
  @ValidateNested()
  @Type(() => PositionNotesBody)
  load: PositionNotesBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => PositionNotesBody)
  action: PositionNotesBody;
}

export class LegBody implements Leg {
  @Matches(CAPITAL, ONE_CAPITAL)
  target: string;

  @IsIn(INTENTS)
  intent: Intent;

  @IsIn(TRAVEL_WAYS)
  travel: TravelWay;

  @IsIn(LOAD_STANCES)
  load: LoadStance;

  @IsIn(RECOVERY_WAYS)
  recover: RecoveryWay;

  @IsBoolean()
  quicken: boolean;

  @IsNumber()
  @Min(-LEG_LIMIT_MS)
  @Max(LEG_LIMIT_MS)
  firstMoveMs: number;

  @IsNumber()
  @Min(0)
  @Max(LEG_LIMIT_MS)
  actionMs: number;

  @IsNumber()
  @Min(0)
  @Max(LEG_LIMIT_MS)
  departureMs: number;

  @IsArray()
  @ArrayMaxSize(MAX_PLACEMENTS)
  @ValidateNested({ each: true })
  @Type(() => PlacementBody)
  placements: PlacementBody[];

  @IsDefined()
  @ValidateNested()
  @Type(() => LegNotesBody)
  notes: LegNotesBody;
}

export class TravelBody {
  @IsPositive()
  @Max(30)
  acceleration: number;

  @IsPositive()
  @Max(12)
  topSpeed: number;
}

export class BuildBody implements Build {
  @Min(0.2)
  @Max(0.8)
  shoulderM: number;

  @Min(0.6)
  @Max(3)
  strideM: number;

  @Min(0)
  @Max(2.5)
  reachM: number;

  @Min(100)
  @Max(1000)
  reactionMs: number;

  @IsDefined()
  @ValidateNested()
  @Type(() => TravelBody)
  travel: TravelBody;
}
