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

  /** Cautions, in the coach's own words. */
  @IsOptional()
  @IsString()
  note: string | null;
}

/** An athlete's newest set and its outcome. */
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

/** Claims about an athlete that may be shown unasked. */
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

/** The newest days of the duration that holds an athlete back, ms. */
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

  /** Whether a restriction is in force. */
  @IsBoolean()
  restricted: boolean;

  @IsOptional()
  @ValidateNested()
  @Type(() => LastSetReply)
  lastSet: LastSetReply | null;

  /** Why they need the coach. */
  @IsIn(SQUAD_NEEDS)
  need: SquadNeed;

  /** What remains of their claims after correcting for the whole squad, and may be shown unasked. */
  @ValidateNested()
  @Type(() => ClaimsReply)
  claims: ClaimsReply;

  /** `null` before the first timed set. */
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

/** The lengths by which footwork is laid out. */
export class BuiltReply {
  @IsIn(BUILD_SOURCES)
  shoulderM: BuildSource;

  @IsIn(BUILD_SOURCES)
  strideM: BuildSource;

  @IsIn(BUILD_SOURCES)
  reachM: BuildSource;

  /** What the reach was measured with; `null` if with anything held, or not measured. */
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

/** What the floor needs for a drill with an athlete, including when offline. */
export class DrillSetupReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  @ValidateNested()
  @Type(() => PatternReply)
  pattern: PatternReply;

  /** The pattern the athlete is working on, which may differ from the one run now. */
  @ValidateNested()
  @Type(() => NamedPatternReply)
  worksOn: NamedPatternReply;

  /** Rungs with limits of the athlete's own, which are already applied to the pattern. */
  @IsInt({ each: true })
  ownLimits: number[];

  @ValidateNested()
  @Type(() => LadderSettingsBody)
  ladder: LadderSettingsBody;

  @IsInt()
  rung: number;

  /** Usual times of the newest sets on this pattern, ms, without what was never timed. */
  @ValidateNested()
  @Type(() => UsualTimesReply)
  usualMs: UsualTimesReply;

  /** Earlier days of training on this pattern. */
  @IsInt()
  sessionsBefore: number;

  /** Faults watched in the athlete. */
  @IsIn(SEEN_FAULTS, { each: true })
  watched: Fault[];

  @ValidateNested()
  @Type(() => BuiltReply)
  built: BuiltReply;

  @ValidateNested()
  @Type(() => AthleteCareReply)
  care: AthleteCareReply;

  /** Parameters of the simulated stand-in for this athlete. */
  @IsObject()
  simulated: SimulatedAthlete;
}
