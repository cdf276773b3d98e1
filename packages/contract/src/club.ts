import { IsString, IsUUID } from 'class-validator';

export class ClubReply {
  @IsUUID()
  clubId: string;

  @IsString()
  name: string;
}
