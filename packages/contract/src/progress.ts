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

  /** Version of the rules' arithmetic. */
  @IsInt()
  rulesVersion: number;

  /** How far the rule is on its way. */
  @IsObject()
  state: RuleState;

  /** The gate that holds the newest set back. */
  @IsOptional()
  @IsObject()
  limiting: Gate | null;

  @IsOptional()
  @IsNumber()
  passRate: number | null;

  @IsOptional()
  @IsObject()
  fade: SetFade | null;

  /** What the step to the next rung raises: speed, complexity. */
  @IsArray()
  raises: readonly Axis[];
}

/** What the evidence says should come next, with all it rests on. */
export class DecisionReply extends DecisionPart implements Decision {
  @IsUUID(undefined, { each: true })
  setIds: readonly string[];
}

/** The same as a line among many needs it. */
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

  /** The same rung when the coach overrules a move and keeps the athlete there. */
  @IsInt()
  @Min(1)
  @Max(MAX_RUNGS)
  toRung: number;

  @IsIn(MOVE_BASES)
  basis: MoveBasis;

  /** The set whose decision is followed or overruled; of an undo, that of the move taken back. */
  @OrNull()
  @IsUUID()
  setId: string | null;

  /** Why the coach overrules, or moves by hand. */
  @ValidateIf(
    ({ basis, reason, onDevice }: RungMoveBody) =>
      (basis === 'overrule' && !onDevice) || reason !== undefined,
  )
  @IsString()
  @MinLength(1)
  @MaxLength(LONGEST_REASON)
  reason?: string;

  /**
   * A device without a network followed the rule by the evidence it had. The rule is asked anew by all
   * evidence there is: where it says otherwise the move stands, as one that overrules it.
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

  /** Who moved them; absent where nobody was signed in. */
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_NAME)
  movedBy?: string;

  /** The decision that was followed or overruled, with the evidence it used. */
  @IsOptional()
  @IsObject()
  decision: DecisionReply | null;
}

/** A move with all that its decision follows from. */
export class MoveEvidenceReply extends RungMoveReply {
  @IsOptional()
  @IsObject()
  evidence: Evidence | null;
}
