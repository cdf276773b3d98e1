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

  /** Whether it asked less than its rung, because of a restriction. */
  @IsBoolean()
  eased: boolean;

  @IsObject()
  figures: SetFigures;

  @IsIn(SET_OUTCOMES)
  outcome: SetOutcome;
}

const LONGEST_NOTE = 500;

/** A coach's note on a set. */
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

  /** Withdrawn; the note is kept and can be restored. */
  @IsBoolean()
  removed: boolean;
}

export class SetNoteReply extends SetNoteBody {
  @IsUUID()
  id: string;
}

/** An athlete's course over the weeks, oldest set first. */
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

  /** What is usual in the squad. */
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

/** An athlete's counted reps as columns, for calculations over many of them. Times in ms, null if not timed. */
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

/** One athlete on the squad's review page. */
export class StandingReply extends SquadLineReply {
  @IsObject()
  standing: Standing;

  /** Their results on their rung by day; `null` with too few days. */
  @IsOptional()
  @IsObject()
  held: HeldOnRung | null;

  /** The decision on their rung now. */
  @ValidateNested()
  @Type(() => DecisionHeadReply)
  decision: DecisionHeadReply;
}
