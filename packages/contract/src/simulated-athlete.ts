import { type Side, SIDES } from '@orthokin/core/floor';
import type { SimulatedAthlete } from '@orthokin/core/simulation';
import { Type } from 'class-transformer';
import {
  IsDefined,
  IsIn,
  IsNumber,
  IsOptional,
  IsPositive,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { TravelBody } from './footwork.js';
import { OrNull } from './or-null.js';

class ReactionModelBody {
  @IsPositive()
  @Max(2000)
  muMs: number;

  @IsPositive()
  @Max(1000)
  sigmaMs: number;

  @IsNumber()
  @Min(0)
  @Max(2000)
  tauMs: number;
}

class LearningModelBody {
  @IsNumber()
  @Min(0)
  @Max(10)
  gain: number;

  @IsNumber()
  @Min(0)
  @Max(10)
  ratePerSession: number;
}

class WeakSideBody {
  @IsIn(SIDES)
  side: Side;

  @IsPositive()
  @Max(5)
  factor: number;
}

/** The parameters of a simulated athlete. */
export class SimulatedAthleteBody implements SimulatedAthlete {
  @IsDefined()
  @ValidateNested()
  @Type(() => ReactionModelBody)
  reaction: ReactionModelBody;

  @IsDefined()
  @ValidateNested()
  @Type(() => TravelBody)
  travel: TravelBody;

  @IsPositive()
  @Max(10_000)
  loadMs: number;

  @IsPositive()
  @Max(10_000)
  actionMs: number;

  @IsPositive()
  @Max(10)
  recoveryFactor: number;

  @IsDefined()
  @ValidateNested()
  @Type(() => LearningModelBody)
  learning: LearningModelBody;

  @IsNumber()
  @Min(-1)
  @Max(1)
  fadePerRep: number;

  @OrNull()
  @ValidateNested()
  @Type(() => WeakSideBody)
  weakSide: WeakSideBody | null;

  @IsNumber()
  @Min(0)
  @Max(1)
  falseStartShare: number;

  @IsOptional()
  @IsNumber()
  @Min(0)
  @Max(1)
  dayFormSd?: number;
}
