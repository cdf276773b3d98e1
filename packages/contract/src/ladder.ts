import type { SetJudgement, StaircaseReading } from '@orthokin/core/progress';
import { Type } from 'class-transformer';
import {
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  ValidateNested,
} from 'class-validator';
import { IsDay, IsMoment } from './moment.js';
import { AthleteReply } from './athlete.js';
import { LadderSettingsBody, OwnLimitsBody } from './ladder-settings.js';
import { PatternReply } from './library.js';
import { DecisionReply, RungMoveReply } from './progress.js';

/** A set that is evidence for its rung. */
export class EvidenceReply {
  @IsUUID()
  setId: string;

  @IsMoment()
  startedAt: string;

  @IsDay()
  day: string;

  /** The timing source; only sets with the same one are pooled. */
  @IsString()
  source: string;

  /** How cues were perceived; only sets with the same sense are pooled. */
  @IsIn(['heard', 'seen'])
  sense: 'heard' | 'seen';

  @IsObject()
  judgement: SetJudgement;

  /** Only for a set whose pace adapted by itself. */
  @IsOptional()
  @IsObject()
  staircase?: StaircaseReading | null;
}

/** One athlete on a pattern's ladder. */
export class AthleteLadderReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  /** The newest version, with the athlete's own limits. */
  @ValidateNested()
  @Type(() => PatternReply)
  pattern: PatternReply;

  @ValidateNested()
  @Type(() => LadderSettingsBody)
  settings: LadderSettingsBody;

  @ValidateNested({ each: true })
  @Type(() => OwnLimitsBody)
  ownLimits: OwnLimitsBody[];

  @IsInt()
  rung: number;

  @ValidateNested()
  @Type(() => DecisionReply)
  decision: DecisionReply;

  /** Sets with the rung's current demands since the athlete reached it, oldest first. */
  @ValidateNested({ each: true })
  @Type(() => EvidenceReply)
  evidence: EvidenceReply[];

  /** All moves on this ladder, oldest first, including undone ones. */
  @ValidateNested({ each: true })
  @Type(() => RungMoveReply)
  moves: RungMoveReply[];
}

/** One athlete on everybody's ladder page. */
export class LadderPlaceReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  @IsInt()
  rung: number;

  @ValidateNested()
  @Type(() => DecisionReply)
  decision: DecisionReply;
}

/** A pattern's ladder, with everybody who works on the pattern. */
export class LadderReply {
  @ValidateNested()
  @Type(() => PatternReply)
  pattern: PatternReply;

  @ValidateNested()
  @Type(() => LadderSettingsBody)
  settings: LadderSettingsBody;

  @ValidateNested({ each: true })
  @Type(() => LadderPlaceReply)
  everyone: LadderPlaceReply[];
}
