import type { SetJudgement } from '@orthokin/core/progress';
import { Type } from 'class-transformer';
import { IsInt, IsObject, IsOptional, ValidateNested } from 'class-validator';
import { AthleteReply } from './athlete.js';
import { DrillSetReply, RepReply } from './drill.js';
import { PatternReply } from './library.js';
import { DecisionReply, RungMoveReply } from './progress.js';

/** A set with all that is needed to see where the time went and what comes next. */
export class SetReviewReply {
  @ValidateNested()
  @Type(() => DrillSetReply)
  set: DrillSetReply;

  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  @ValidateNested()
  @Type(() => PatternReply)
  pattern: PatternReply;

  /** Every rep recorded, also those since replaced: their cues were seen too. */
  @ValidateNested({ each: true })
  @Type(() => RepReply)
  reps: RepReply[];

  /** The set held against the gates of its rung. */
  @IsObject()
  judgement: SetJudgement;

  @ValidateNested()
  @Type(() => DecisionReply)
  decision: DecisionReply;

  /** The athlete's rung on this pattern now. */
  @IsInt()
  currentRung: number;

  /** The newest move, when it followed from this set. */
  @IsOptional()
  @ValidateNested()
  @Type(() => RungMoveReply)
  moved: RungMoveReply | null;
}
