import {
  MARKER_COLOURS,
  MARKER_SHAPES,
  TARGET_KINDS,
  type MarkerColour,
  type MarkerShape,
  type SizeM,
  type Target,
  type TargetKind,
  type Point,
} from '@orthokin/core/floor';
import { type HomeBase } from '@orthokin/core/pattern';
import { Type } from 'class-transformer';
import {
  IsDefined,
  IsIn,
  IsNumber,
  IsPositive,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';

/** A pattern is drawn within this of home base, metres. */
const FLOOR_LIMIT_M = 60;
export const CAPITAL = /^[A-Z]$/;
export const ONE_CAPITAL = { message: '$property must be one capital letter' };
export const EACH_CAPITAL = {
  each: true,
  message: 'each of $property must be one capital letter',
};

export class PointBody implements Point {
  @IsNumber()
  @Min(-FLOOR_LIMIT_M)
  @Max(FLOOR_LIMIT_M)
  x: number;

  @IsNumber()
  @Min(-FLOOR_LIMIT_M)
  @Max(FLOOR_LIMIT_M)
  y: number;
}

export class TargetBody implements Target {
  @Matches(CAPITAL, ONE_CAPITAL)
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
