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

/** A set on the athlete's rung, as evidence. */
export class EvidenceReply {
  @IsUUID()
  setId: string;

  @IsMoment()
  startedAt: string;

  @IsDay()
  day: string;

  /** What timed it; only what was timed alike is pooled. */
  @IsString()
  source: string;

  /** How its cues were perceived. */
  @IsIn(['heard', 'seen'])
  sense: 'heard' | 'seen';

  @IsObject()
  judgement: SetJudgement;

  /** Of a set whose pace moved by itself. */
  @IsOptional()
  @IsObject()
  staircase?: StaircaseReading | null;
}

/** One athlete on a pattern's ladder. */
export class AthleteLadderReply {
  @ValidateNested()
  @Type(() => AthleteReply)
  athlete: AthleteReply;

  /** As it is now; its rungs with the limits of this athlete. */
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

  /** Sets since the athlete came to the rung that asked what it asks now, oldest first. */
  @ValidateNested({ each: true })
  @Type(() => EvidenceReply)
  evidence: EvidenceReply[];

  /** Every move on this ladder, oldest first, also those taken back. */
  @ValidateNested({ each: true })
  @Type(() => RungMoveReply)
  moves: RungMoveReply[];
}

/** One athlete on the ladder of everyone. */
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

/** A pattern's ladder and everyone who works on it. */
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
