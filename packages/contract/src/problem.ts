import type { Problem } from '@orthokin/core/result';
import { Type } from 'class-transformer';
import { IsInt, IsString, ValidateNested } from 'class-validator';

export class ProblemReply implements Problem {
  @IsString()
  field: string;

  @IsString()
  given: string;

  @IsString()
  allowed: string;
}

/** The reply to every refused request. */
export class RefusalReply {
  @IsInt()
  statusCode: number;

  /** One sentence for a person. */
  @IsString()
  message: string;

  @ValidateNested({ each: true })
  @Type(() => ProblemReply)
  problems: ProblemReply[];
}
