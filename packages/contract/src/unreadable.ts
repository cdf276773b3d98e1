import { IsIn, IsInt, IsOptional, IsString, IsUUID } from 'class-validator';
import { IsMoment } from './moment.js';

export const UNREADABLE_KINDS = ['set', 'pattern version', 'care'] as const;
export type UnreadableKind = (typeof UNREADABLE_KINDS)[number];

/** A stored row that cannot be read and is left out everywhere else. */
export class UnreadableReply {
  @IsIn(UNREADABLE_KINDS)
  kind: UnreadableKind;

  /** The id of the set, the pattern or the care record. */
  @IsUUID()
  id: string;

  /** For a pattern: the version. */
  @IsOptional()
  @IsInt()
  version: number | null;

  /** The athlete the set or care record belongs to; absent for a pattern. */
  @IsOptional()
  @IsString()
  athlete: string | null;

  @IsMoment()
  at: string;

  /** Sets that would be deleted with it. */
  @IsInt()
  sets: number;
}
