import { LONGEST_NAME } from '@orthokin/core/people';
import { ArrayMaxSize, ArrayUnique, IsArray, IsString, IsUUID, Length } from 'class-validator';

/** More train in no squad. */
const MOST_IN_GROUP = 500;

/** A squad as it is made, or changed: all of it, each time. */
export class GroupBody {
  @IsString()
  @Length(1, LONGEST_NAME)
  name: string;

  /** In the coach's own order. */
  @IsArray()
  @ArrayMaxSize(MOST_IN_GROUP)
  @ArrayUnique()
  @IsUUID(undefined, { each: true })
  athleteIds: string[];
}

export class GroupReply extends GroupBody {
  @IsUUID()
  id: string;
}
