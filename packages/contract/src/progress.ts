import {
  ANSWERS,
  MOVE_BASES,
  type Answer,
  type Because,
  type Decision,
  type DecisionHead,
  type Evidence,
  type Gate,
  type MoveBasis,
  type Rule,
  type RuleState,
  type SetFade,
} from '@orthokin/core/progress';
import { LONGEST_NAME, LONGEST_REASON } from '@orthokin/core/people';
import { MAX_RUNGS, type Axis } from '@orthokin/core/pattern';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
} from 'class-validator';
import { IsMoment } from './moment.js';
import { OrNull } from './or-null.js';

class DecisionPart implements Omit<Decision, 'setIds'> {
  @IsIn(ANSWERS)
  answer: Answer;

  @IsString()
  because: Because;

  @IsObject()
  rule: Rule;

  /** Version of the rules' arithmetic, so that old decisions can be understood. */
  @IsInt()
  rulesVersion: number;

  /** How much of the rule's evidence is there. */
  @IsObject()
  state: RuleState;

  /** The gate the newest set failed. */
  @IsOptional()
  @IsObject()
  limiting: Gate | null;

  @IsOptional()
  @IsNumber()
  passRate: number | null;

  @IsOptional()
  @IsObject()
  fade: SetFade | null;

  /** What the next rung raises: speed, complexity. */
  @IsArray()
  raises: readonly Axis[];
}

/** A decision, with all it is based on. */
export class DecisionReply extends DecisionPart implements Decision {
  @IsUUID(undefined, { each: true })
  setIds: readonly string[];
}

/** A decision in short, for lists. */
export class DecisionHeadReply extends DecisionPart implements DecisionHead {
  @IsInt()
  sets: number;
}

export class RungMoveBody {
  @IsUUID()
  athleteId: string;

  @IsUUID()
  patternId: string;

  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  fromRung: number;

  /** The new rung; the same one if the coach overrules a move and keeps the athlete there. */
  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  toRung: number;

  @IsIn(MOVE_BASES)
  basis: MoveBasis;

  /** The set whose decision is followed or overruled; for an undo, that of the undone move. */
  @OrNull()
  @IsUUID()
  setId: string | null;

  /** The reason, for an overrule or a move by hand. */
  @ValidateIf(
    ({ basis, reason, onDevice }: RungMoveBody) =>
      (basis === 'overrule' && !onDevice) || reason !== undefined,
  )
  @IsString()
  @MinLength(1)
  @MaxLength(LONGEST_REASON)
  reason?: string;

  /**
   * The move followed a decision made offline, on the evidence that device had. If the full evidence decides
   * otherwise the move stands as an overrule.
   */
  @IsOptional()
  @IsBoolean()
  onDevice?: boolean;

  @IsMoment()
  movedAt: string;
}

export class RungMoveReply extends RungMoveBody {
  @IsUUID()
  id: string;

  /** The account that made the move; absent if nobody was signed in. */
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_NAME)
  movedBy?: string;

  /** The decision that was followed or overruled. */
  @IsOptional()
  @IsObject()
  decision: DecisionReply | null;
}

/** A move with all its decision was based on. */
export class MoveEvidenceReply extends RungMoveReply {
  @IsOptional()
  @IsObject()
  evidence: Evidence | null;
}
