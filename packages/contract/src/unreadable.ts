import { IsIn, IsInt, IsOptional, IsString, IsUUID } from 'class-validator';
import { IsMoment } from './moment.js';

export const UNREADABLE_KINDS = ['set', 'pattern version', 'care'] as const;
export type UnreadableKind = (typeof UNREADABLE_KINDS)[number];

/** Something of a club that is stored and cannot be read: it is left out everywhere else. */
export class UnreadableReply {
  @IsIn(UNREADABLE_KINDS)
  kind: UnreadableKind;

  /** Of the set, of the pattern, or of what was said of somebody's care. */
  @IsUUID()
  id: string;

  /** Of a pattern. */
  @IsOptional()
  @IsInt()
  version: number | null;

  /** Of the athlete whose set or care it is; of a pattern nothing that could be trusted. */
  @IsOptional()
  @IsString()
  athlete: string | null;

  @IsMoment()
  at: string;

  /** Sets that go with it when it is taken out. */
  @IsInt()
  sets: number;
}
