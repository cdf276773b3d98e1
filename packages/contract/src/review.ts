import type { SetJudgement } from '@orthokin/core/progress';
import { Type } from 'class-transformer';
import { IsInt, IsObject, IsOptional, ValidateNested } from 'class-validator';
import { AthleteReply } from './athlete.js';
import { DrillSetReply, RepReply } from './drill.js';
import { PatternReply } from './library.js';
import { DecisionReply, RungMoveReply } from './progress.js';

/** A set with everything its review needs: where the time went, and what comes next. */
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

  /** All recorded reps, including replaced ones, whose cues were seen as well. */
  @ValidateNested({ each: true })
  @Type(() => RepReply)
  reps: RepReply[];

  /** The set judged by its rung's gates. */
  @IsObject()
  judgement: SetJudgement;

  @ValidateNested()
  @Type(() => DecisionReply)
  decision: DecisionReply;

  /** The athlete's current rung on this pattern. */
  @IsInt()
  currentRung: number;

  /** The newest move, if it is based on this set. */
  @IsOptional()
  @ValidateNested()
  @Type(() => RungMoveReply)
  moved: RungMoveReply | null;
}
