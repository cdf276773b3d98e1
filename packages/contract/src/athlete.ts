import { COLOUR_VISIONS, type ColourVision, type Side, SIDES } from '@orthokin/core/floor';
import {
  AGE_BANDS,
  BUILD_SOURCES,
  HELD,
  type AgeBand,
  type BuildSource,
  type Held,
} from '@orthokin/core/people';
import {
  SET_OUTCOMES,
  SQUAD_NEEDS,
  type Claims,
  type SetOutcome,
  type SquadNeed,
  type UsualTimes,
} from '@orthokin/core/progress';
import type { SimulatedAthlete } from '@orthokin/core/simulation';
import { COURSE_DURATIONS, type CourseDuration, type ShortCourse } from '@orthokin/core/stats';
import { SEEN_FAULTS, type Fault } from '@orthokin/core/timing';
import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  ValidateNested,
} from 'class-validator';
import { AthleteCareReply } from './care.js';
import { IsMoment } from './moment.js';
import { OrNull } from './or-null.js';
import { PatternReply } from './library.js';
import { DecisionHeadReply } from './progress.js';
import { LadderSettingsBody } from './ladder-settings.js';

export class AthleteReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;

  @IsIn(SIDES)
  hand: Side;

  @IsIn(AGE_BANDS)
  ageBand: AgeBand;

  @IsIn(COLOUR_VISIONS)
  colourVision: ColourVision;

  /** What the coach must bear in mind, in their own words. */
  @IsOptional()
  @IsString()
  note: string | null;
}

/** The newest set of an athlete and what it led to. */
export class LastSetReply {
  @IsUUID()
  id: string;

  @IsMoment()
  startedAt: string;

  @IsInt()
  rung: number;

  @IsIn(SET_OUTCOMES)
  outcome: SetOutcome;

  @ValidateNested()
  @Type(() => DecisionHeadReply)
  decision: DecisionHeadReply;
}

/** What may be said of an athlete unasked. */
export class ClaimsReply implements Claims {
  @OrNull()
  @IsIn(['faster', 'slower'])
  change: 'faster' | 'slower' | null;

  @OrNull()
  @IsIn(SIDES)
  slowerSide: Side | null;

  @IsBoolean()
  isNewLean: boolean;

  @IsBoolean()
  isStuck: boolean;
}

/** An athlete's newest days in the duration that holds them back, ms. */
export class ShortCourseReply implements ShortCourse {
  @IsIn(COURSE_DURATIONS)
  duration: CourseDuration;

  @OrNull()
  @IsNumber()
  limitMs: number | null;

  @IsNumber({}, { each: true })
  daysMs: readonly number[];
}

/** One line of the squad page. */
export class SquadLineReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  @IsUUID()
  patternId: string;

  @IsString()
  patternName: string;

  @IsInt()
  rung: number;

  @IsString()
  rungName: string;

  @IsInt()
  rungs: number;

  /** Something they may not do now. */
  @IsBoolean()
  restricted: boolean;

  @IsOptional()
  @ValidateNested()
  @Type(() => LastSetReply)
  lastSet: LastSetReply | null;

  /** What they need the coach for. */
  @IsIn(SQUAD_NEEDS)
  need: SquadNeed;

  /** What of their weeks stands among so many athletes, and may be said unasked. */
  @ValidateNested()
  @Type(() => ClaimsReply)
  claims: ClaimsReply;

  /** `null` before anything was timed. */
  @OrNull()
  @ValidateNested()
  @Type(() => ShortCourseReply)
  course: ShortCourseReply | null;
}

/** An athlete's usual times, ms. */
export class UsualTimesReply implements UsualTimes {
  @IsOptional()
  @IsNumber()
  reaction?: number;

  @IsOptional()
  @IsNumber()
  response?: number;

  @IsOptional()
  @IsNumber()
  recovery?: number;

  @IsOptional()
  @IsNumber()
  cycle?: number;
}

/** Where the lengths come from that the feet of a set-up are laid by. */
export class BuiltReply {
  @IsIn(BUILD_SOURCES)
  shoulderM: BuildSource;

  @IsIn(BUILD_SOURCES)
  strideM: BuildSource;

  @IsIn(BUILD_SOURCES)
  reachM: BuildSource;

  /** With what the reach was measured; `null` for whatever they hold, and where it was not. */
  @IsOptional()
  @IsIn(HELD)
  held?: Held | null;
}

/** A pattern by its name. */
export class NamedPatternReply {
  @IsUUID()
  id: string;

  @IsString()
  name: string;
}

/** Everything the floor needs to run a drill with an athlete, also when the network goes. */
export class DrillSetupReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  @ValidateNested()
  @Type(() => PatternReply)
  pattern: PatternReply;

  /** What the athlete works on, whatever is run now. */
  @ValidateNested()
  @Type(() => NamedPatternReply)
  worksOn: NamedPatternReply;

  /** Rungs whose limits are this athlete's own; they are in the pattern already. */
  @IsInt({ each: true })
  ownLimits: number[];

  @ValidateNested()
  @Type(() => LadderSettingsBody)
  ladder: LadderSettingsBody;

  @IsInt()
  rung: number;

  /** Usual times of the newest sets on this pattern, ms; what was never timed is left out. */
  @ValidateNested()
  @Type(() => UsualTimesReply)
  usualMs: UsualTimesReply;

  /** Days on which this athlete has trained this pattern before. */
  @IsInt()
  sessionsBefore: number;

  /** Faults that are watched in the athlete. */
  @IsIn(SEEN_FAULTS, { each: true })
  watched: Fault[];

  @ValidateNested()
  @Type(() => BuiltReply)
  built: BuiltReply;

  @ValidateNested()
  @Type(() => AthleteCareReply)
  care: AthleteCareReply;

  /** The numbers the simulated athlete plays with when it stands in for this one. */
  @IsObject()
  simulated: SimulatedAthlete;
}
