import type { SimulatedAthlete } from '@orthokin/core/simulation';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsDefined,
  IsInt,
  IsISO8601,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { AthleteReply } from './athlete.js';
import { SetNoteReply } from './course.js';
import { DrillSetBody, DrillSetReply, RepBody, RepReply } from './drill.js';
import { LadderBody, OwnLadderBody } from './ladder-settings.js';
import { PatternBody } from './pattern.js';
import { MoveEvidenceReply } from './progress.js';

export const CLUB_FORMAT = 'orthokin club';
export const CLUB_FORMAT_VERSION = 1;

export class ClubFileClub {
  @IsUUID()
  clubId: string;

  @IsString()
  @Length(1, 120)
  name: string;
}

export class ClubFileAthlete extends AthleteReply {
  /** The pattern the athlete began with. */
  @IsUUID()
  patternId: string;

  @IsOptional()
  @IsObject()
  simulated: SimulatedAthlete | null;
}

export class ClubFileVersion {
  @IsInt()
  @Min(1)
  @Max(1_000_000)
  version: number;

  @IsISO8601()
  savedAt: string;

  @IsDefined()
  @ValidateNested()
  @Type(() => PatternBody)
  body: PatternBody;
}

export class ClubFilePattern {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsISO8601()
  archivedAt: string | null;

  @IsArray()
  @ArrayMinSize(1)
  @ValidateNested({ each: true })
  @Type(() => ClubFileVersion)
  versions: ClubFileVersion[];
}

export class ClubFileRep extends RepReply {
  @IsUUID()
  setId: string;
}

export class ClubFileLadder extends LadderBody {
  @IsUUID()
  id: string;
}

export class ClubFileOwnLadder extends OwnLadderBody {
  @IsUUID()
  id: string;
}

export class ClubFileNote extends SetNoteReply {
  @IsOptional()
  @IsISO8601()
  removedAt: string | null;
}

/** A whole club, to be kept and read back without loss. */
export class ClubFile {
  @Equals(CLUB_FORMAT)
  format: typeof CLUB_FORMAT;

  @Equals(CLUB_FORMAT_VERSION)
  version: typeof CLUB_FORMAT_VERSION;

  @IsDefined()
  @ValidateNested()
  @Type(() => ClubFileClub)
  club: ClubFileClub;

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ClubFileAthlete)
  athletes: ClubFileAthlete[];

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ClubFilePattern)
  patterns: ClubFilePattern[];

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => DrillSetReply)
  sets: DrillSetReply[];

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ClubFileRep)
  reps: ClubFileRep[];

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => MoveEvidenceReply)
  moves: MoveEvidenceReply[];

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ClubFileNote)
  notes: ClubFileNote[];

  /** How ladders were climbed, every time it was saved; a file from before there were any has none. */
  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ClubFileLadder)
  ladders: ClubFileLadder[] = [];

  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ClubFileOwnLadder)
  ownLadders: ClubFileOwnLadder[] = [];
}

/** Said by whoever takes a whole club away: its name, letter by letter. */
export class WipeBody {
  @IsString()
  name: string;
}

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

  @IsISO8601({ strict: true, strictSeparator: true })
  endedAt: string;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_REPS)
  @ValidateNested({ each: true })
  @Type(() => ImportRep)
  reps: ImportRep[];
}

/** Sets timed elsewhere: all of them are stored, or none. */
export class ImportBody {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_SETS)
  @ValidateNested({ each: true })
  @Type(() => ImportSet)
  sets: ImportSet[];
}

export class ImportReply {
  @IsInt()
  sets: number;

  @IsInt()
  reps: number;
}
