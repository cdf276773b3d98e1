import { IsUUID } from 'class-validator';

/** What the paths of the API are made of. */
export class ClubPath {
  @IsUUID()
  clubId: string;
}

export class AthletePath extends ClubPath {
  @IsUUID()
  athleteId: string;
}

export class SetPath extends ClubPath {
  @IsUUID()
  setId: string;
}

/** Ids of what a client records are UUIDv7: made offline, in order of time, safe to send twice. */
export class NewSetPath extends ClubPath {
  @IsUUID(7)
  setId: string;
}

export class NewRepPath extends NewSetPath {
  @IsUUID(7)
  repId: string;
}

export class NewMovePath extends ClubPath {
  @IsUUID(7)
  moveId: string;
}
