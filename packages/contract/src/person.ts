import { COLOUR_VISIONS, type ColourVision, type Side, SIDES } from '@orthokin/core/floor';
import {
  AGE_BANDS,
  BODY_BOUNDS_M,
  type AgeBand,
  type Held,
  LONGEST_NAME,
  LONGEST_CALLED,
  LONGEST_GOAL,
  LONGEST_ATHLETE_NOTE,
  LONGEST_SPORT,
} from '@orthokin/core/people';
import { MOST_WATCHED, SEEN_FAULTS, type Fault } from '@orthokin/core/timing';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { Type } from 'class-transformer';
import { EmergencyBody } from './care.js';
import { IsDateOfBirth } from './moment.js';

const { heightM, shoulderM, hipM, reachM } = BODY_BOUNDS_M;

/** A length that can be somebody's reach, m, or not known. */
const IsReach = (): PropertyDecorator => (body, name) => {
  for (const asks of [Max(reachM[1]), Min(reachM[0]), IsNumber(), IsOptional()]) asks(body, name);
};

/** From the shoulder to the end of what is held, arm stretched, where it was measured with that. */
export class ReachesBody implements Partial<Record<Held, number | null>> {
  @IsReach()
  hand?: number | null;

  @IsReach()
  racket?: number | null;

  @IsReach()
  paddle?: number | null;

  @IsReach()
  bat?: number | null;

  @IsReach()
  blade?: number | null;
}

/** What may be known of an athlete beyond what every drill needs; `null` or missing where it is not. */
export class AboutAthlete {
  /** What the coach calls across the floor. */
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_CALLED)
  called?: string | null;

  /** Where it is known the age band follows from it. */
  @IsOptional()
  @IsDateOfBirth()
  bornOn?: string | null;

  /** The dominant foot. */
  @IsOptional()
  @IsIn(SIDES)
  foot?: Side | null;

  @IsOptional()
  @IsNumber()
  @Min(heightM[0])
  @Max(heightM[1])
  heightM?: number | null;

  @IsOptional()
  @IsNumber()
  @Min(shoulderM[0])
  @Max(shoulderM[1])
  shoulderM?: number | null;

  @IsOptional()
  @IsNumber()
  @Min(hipM[0])
  @Max(hipM[1])
  hipM?: number | null;

  /** From the shoulder to the end of the implement, arm stretched. */
  @IsReach()
  reachM?: number | null;

  /** On courts where it is known what is held, these go before the one above. */
  @IsOptional()
  @ValidateNested()
  @Type(() => ReachesBody)
  reaches?: ReachesBody | null;

  /** Faults that are watched in them; two at the most. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_WATCHED)
  @ArrayUnique()
  @IsIn(SEEN_FAULTS, { each: true })
  watched?: Fault[] | null;

  /** What they play, as somebody would say it. */
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_SPORT)
  sports?: string | null;

  @IsOptional()
  @ValidateNested()
  @Type(() => EmergencyBody)
  emergency?: EmergencyBody | null;

  /** In their own words. */
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_GOAL)
  goal?: string | null;
}

/** More often than this nobody is changed. */
const MOST_REVISIONS = 1_000_000;

/** An athlete as they are added, or changed: all of it, each time. */
export class AthleteBody extends AboutAthlete {
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  @IsIn(SIDES)
  hand: Side;

  @IsIn(AGE_BANDS)
  ageBand: AgeBand;

  @IsIn(COLOUR_VISIONS)
  colourVision: ColourVision;

  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_ATHLETE_NOTE)
  note?: string | null;

  /** The pattern they work on; what else they run changes it no more than a look at it would. */
  @IsUUID()
  patternId: string;

  /**
   * One more than that of the athlete it was changed from: refused where somebody else has changed them
   * meanwhile. What says none is stored whatever was.
   */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(MOST_REVISIONS)
  revision?: number | null;
}

/** What an athlete works on from now on. */
export class WorksOnBody {
  @IsUUID()
  patternId: string;
}

/** What is watched in an athlete from now on. */
export class WatchedBody {
  @IsArray()
  @ArrayMaxSize(MOST_WATCHED)
  @ArrayUnique()
  @IsIn(SEEN_FAULTS, { each: true })
  watched: Fault[];
}

/** More are added one after another. */
export const MOST_ADDED = 500;

/** An athlete as they come with others, under the id they are to have. */
export class AddedAthlete extends AthleteBody {
  @IsUUID(7)
  id: string;
}

/** Many athletes at once: all of them, or none. */
export class AthletesBody {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_ADDED)
  @ValidateNested({ each: true })
  @Type(() => AddedAthlete)
  athletes: AddedAthlete[];
}

/** An athlete with all that is known of them. */
export class PersonReply extends AthleteBody {
  @IsUUID()
  id: string;

  /** Put away: in no list of who trains, with all they have done kept. */
  @IsBoolean()
  archived: boolean;

  /** How often they were changed, that they were added too. */
  @IsInt()
  changes: number;
}
