import type { MovementCounts } from '@orthokin/core/pattern';
import type { WeekLoad } from '@orthokin/core/plan';
import { Type } from 'class-transformer';
import { IsInt, IsObject, IsUUID, ValidateNested } from 'class-validator';
import { IsDay } from './moment.js';
import { OrNull } from './or-null.js';

export class WeekLoadReply implements WeekLoad {
  @IsDay()
  monday: string;

  @IsInt()
  minutes: number;

  @OrNull()
  @IsInt()
  effort: number | null;

  @OrNull()
  @IsObject()
  movements: MovementCounts | null;
}

/** An athlete's recent weeks without gaps, oldest first. */
export class AthleteLoadReply {
  @IsUUID()
  athleteId: string;

  @ValidateNested({ each: true })
  @Type(() => WeekLoadReply)
  weeks: WeekLoadReply[];
}

export class LoadQuery {
  /** Any day of the newest week. */
  @IsDay()
  day: string;
}
