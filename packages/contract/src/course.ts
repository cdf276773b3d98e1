import { LONGEST_NAME } from '@orthokin/core/people';
import { SET_OUTCOMES, type HeldOnRung, type SetOutcome } from '@orthokin/core/progress';
import { SET_SOURCES, type SetSource } from '@orthokin/core/run';
import type { CourseSet, SetFigures, SquadForm, Standing } from '@orthokin/core/stats';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  ValidateNested,
} from 'class-validator';
import { IsMoment } from './moment.js';
import { AthleteReply, SquadLineReply } from './athlete.js';
import { PatternReply } from './library.js';
import { DecisionHeadReply, RungMoveReply } from './progress.js';

/** A set as a point of an athlete's course over weeks. */
export class CourseSetReply implements CourseSet {
  @IsUUID()
  setId: string;

  /** Milliseconds since 1970. */
  @IsInt()
  atMs: number;

  @Matches(/^\d{4}-\d{2}-\d{2}$/)
  day: string;

  @IsUUID()
  patternId: string;

  @IsInt()
  patternVersion: number;

  @IsInt()
  rung: number;

  @IsIn(SET_SOURCES)
  source: SetSource;

  @IsIn(['heard', 'seen'])
  sense: 'heard' | 'seen';

  @IsInt()
  seed: number;

  /** It asked less than its rung, of somebody who may not do all of it. */
  @IsBoolean()
  eased: boolean;

  @IsObject()
  figures: SetFigures;

  @IsIn(SET_OUTCOMES)
  outcome: SetOutcome;
}

const LONGEST_NOTE = 500;

/** What a coach writes about a set. */
export class SetNoteBody {
  @IsUUID()
  setId: string;

  @IsString()
  @Length(1, LONGEST_NOTE)
  text: string;

  @IsString()
  @Length(1, LONGEST_NAME)
  writtenBy: string;

  @IsMoment()
  writtenAt: string;

  /** Taken back; the note is kept and can be put back. */
  @IsBoolean()
  removed: boolean;
}

export class SetNoteReply extends SetNoteBody {
  @IsUUID()
  id: string;
}

/** Everything that is followed of an athlete, oldest set first. */
export class AthleteCourseReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  /** The pattern the athlete works on. */
  @IsUUID()
  patternId: string;

  @ValidateNested({ each: true })
  @Type(() => CourseSetReply)
  sets: CourseSetReply[];

  /** What the squad says is usual. */
  @IsObject()
  squad: SquadForm;

  @ValidateNested({ each: true })
  @Type(() => RungMoveReply)
  moves: RungMoveReply[];

  /** Every pattern version the sets were run on. */
  @ValidateNested({ each: true })
  @Type(() => PatternReply)
  patterns: PatternReply[];

  @ValidateNested({ each: true })
  @Type(() => SetNoteReply)
  notes: SetNoteReply[];
}

/** Counted reps of an athlete as columns: what long sums are made of. Times in ms, null where not timed. */
export class AthleteRepsReply {
  @IsArray()
  @IsUUID(undefined, { each: true })
  setIds: string[];

  /** Index into `setIds` of each rep's set. */
  @IsArray()
  set: number[];

  @IsArray()
  target: string[];

  @IsArray()
  reaction: (number | null)[];

  @IsArray()
  response: (number | null)[];

  @IsArray()
  travel: (number | null)[];

  @IsArray()
  recovery: (number | null)[];

  @IsArray()
  cycle: (number | null)[];
}

/** One athlete on the page of the whole squad. */
export class StandingReply extends SquadLineReply {
  @IsObject()
  standing: Standing;

  /** How they fare on their rung over days; `null` with too few of them. */
  @IsOptional()
  @IsObject()
  held: HeldOnRung | null;

  /** What the ladder says now. */
  @ValidateNested()
  @Type(() => DecisionHeadReply)
  decision: DecisionHeadReply;
}
