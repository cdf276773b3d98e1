import { LONGEST_NAME } from '@orthokin/core/people';
import { ArrayMaxSize, ArrayUnique, IsArray, IsString, IsUUID, Length } from 'class-validator';

/** Far more than train in one squad. */
const MOST_IN_GROUP = 500;

/** Creates or changes a squad, with all its members. */
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
