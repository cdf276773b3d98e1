import type { Answer, Decision, Gate } from '@orthokin/core/progress';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsObject,
  IsOptional,
  IsUUID,
  Min,
} from 'class-validator';

export const ANSWERS = [
  'move up',
  'stay',
  'not enough reps yet',
] as const satisfies readonly Answer[];

export class CountRuleReply {
  @IsInt()
  setsNeeded: number;

  @IsInt()
  ofLast: number;

  @IsInt()
  distinctDays: number;
}

export class DecisionReply implements Decision {
  @IsIn(ANSWERS)
  answer: Answer;

  @IsObject()
  rule: CountRuleReply;

  @IsInt()
  setsSeen: number;

  @IsInt()
  setsPassed: number;

  @IsInt()
  daysPassed: number;

  /** The gate that holds the newest set back: one of reaction, response, recovery, cycle (a time), false starts, valid reps. */
  @IsOptional()
  @IsObject()
  limiting: Gate | null;

  @IsBoolean()
  atTop: boolean;
}

/** Why a rung was changed: the rule said so, or the move before is taken back. */
export const MOVE_BASES = ['rule', 'undo'] as const;
export type MoveBasis = (typeof MOVE_BASES)[number];

export class RungMoveBody {
  @IsUUID()
  athleteId: string;

  @IsUUID()
  patternId: string;

  @IsInt()
  @Min(1)
  fromRung: number;

  @IsInt()
  @Min(1)
  toRung: number;

  @IsIn(MOVE_BASES)
  basis: MoveBasis;

  /** The set whose decision is followed (or taken back). */
  @IsUUID()
  setId: string;

  @IsISO8601({ strict: true, strictSeparator: true })
  movedAt: string;
}

export class RungMoveReply extends RungMoveBody {
  @IsUUID()
  id: string;
}
