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

/** Allows a length somebody can reach, m, or null. */
const IsReach = (): PropertyDecorator => (body, name) => {
  for (const asks of [Max(reachM[1]), Min(reachM[0]), IsNumber(), IsOptional()]) asks(body, name);
};

/** Reach by what is held: from the shoulder to the end of it, arm stretched, m. */
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

/** Optional facts about an athlete; `null` or absent if unknown. */
export class AboutAthlete {
  /** The short name a coach calls. */
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_CALLED)
  called?: string | null;

  /** Date of birth; if known the age band follows from it. */
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

  /** Reach with whatever is held: from the shoulder to its end, arm stretched, m. */
  @IsReach()
  reachM?: number | null;

  /** Reach by what is held; on courts where that is known these take precedence. */
  @IsOptional()
  @ValidateNested()
  @Type(() => ReachesBody)
  reaches?: ReachesBody | null;

  /** Watched faults; two at the most. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_WATCHED)
  @ArrayUnique()
  @IsIn(SEEN_FAULTS, { each: true })
  watched?: Fault[] | null;

  /** Their sport, in free text. */
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

/** Far more changes than anybody makes. */
const MOST_REVISIONS = 1_000_000;

/** Creates or changes an athlete, with all fields. */
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

  /** The pattern they begin with. What they work on later follows from their sets. */
  @IsUUID()
  patternId: string;

  /**
   * One more than the revision this was based on: refused if somebody else changed the athlete meanwhile. Without it
   * the request always wins.
   */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(MOST_REVISIONS)
  revision?: number | null;
}

/** Changes the pattern an athlete works on. */
export class WorksOnBody {
  @IsUUID()
  patternId: string;
}

/** Changes the faults watched in an athlete. */
export class WatchedBody {
  @IsArray()
  @ArrayMaxSize(MOST_WATCHED)
  @ArrayUnique()
  @IsIn(SEEN_FAULTS, { each: true })
  watched: Fault[];
}

/** Larger imports are sent in several requests. */
export const MOST_ADDED = 500;

/** A new athlete with the id they are to have. */
export class AddedAthlete extends AthleteBody {
  @IsUUID(7)
  id: string;
}

/** Adds several athletes, all or none. */
export class AthletesBody {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_ADDED)
  @ValidateNested({ each: true })
  @Type(() => AddedAthlete)
  athletes: AddedAthlete[];
}

/** An athlete with everything known about them. */
export class PersonReply extends AthleteBody {
  @IsUUID()
  id: string;

  /** Archived: in no training list, with all data kept. */
  @IsBoolean()
  archived: boolean;

  /** The revision, which counts creating as 1. */
  @IsInt()
  changes: number;
}
