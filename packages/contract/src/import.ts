import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsUUID,
  ValidateNested,
} from 'class-validator';
import { DrillSetBody, RepBody } from './drill.js';
import { IsMoment } from './moment.js';
import { ProblemReply } from './problem.js';

const MOST_SETS = 400;
const MOST_REPS = 500;

export class ImportRep {
  @IsUUID(7)
  id: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => RepBody)
  body: RepBody;
}

export class ImportSet {
  @IsUUID(7)
  id: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => DrillSetBody)
  body: DrillSetBody;

  @IsMoment()
  endedAt: string;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_REPS)
  @ValidateNested({ each: true })
  @Type(() => ImportRep)
  reps: ImportRep[];
}

/** Imports sets that were timed elsewhere. All are validated before the first is stored. */
export class ImportBody {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_SETS)
  @ValidateNested({ each: true })
  @Type(() => ImportSet)
  sets: ImportSet[];
}

export const IMPORT_STATES = ['waiting', 'storing', 'stored', 'refused', 'given up'] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

/** An import's progress. It continues by itself, even after a restart. */
export class ImportReply {
  @IsUUID()
  id: string;

  @IsIn(IMPORT_STATES)
  state: ImportState;

  /** Number of sets and reps, and how many of the sets are stored. */
  @IsInt()
  sets: number;

  @IsInt()
  reps: number;

  @IsInt()
  done: number;

  /** Why an import was refused. */
  @ValidateNested({ each: true })
  @Type(() => ProblemReply)
  problems: ProblemReply[];
}
