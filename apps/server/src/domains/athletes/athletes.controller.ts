import { Body, Controller, Param } from '@nestjs/common';
import {
  ArchivedBody,
  AthleteBody,
  AthletePath,
  AthletesBody,
  ClubPath,
  NewAthletePath,
  PersonReply,
  WatchedBody,
  WorksOnBody,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { AthletesService, personReply } from './athletes.service.js';

@Controller()
export class AthletesController {
  constructor(private readonly athletes: AthletesService) {}

  @Serves(ROUTES.people, { gives: PersonReply, each: true })
  async everyone(@Param() { clubId }: ClubPath): Promise<PersonReply[]> {
    return (await this.athletes.everyone(clubId)).map(personReply);
  }

  @Serves(ROUTES.addAthletes, { takes: AthletesBody, gives: PersonReply, each: true })
  addAll(@Param() { clubId }: ClubPath, @Body() body: AthletesBody): Promise<PersonReply[]> {
    return this.athletes.addAll(clubId, body);
  }

  @Serves(ROUTES.saveAthlete, { takes: AthleteBody, gives: PersonReply })
  save(
    @Param() { clubId, athleteId }: NewAthletePath,
    @Body() body: AthleteBody,
  ): Promise<PersonReply> {
    return this.athletes.save(clubId, athleteId, body);
  }

  @Serves(ROUTES.workOn, { takes: WorksOnBody, gives: PersonReply })
  workOn(
    @Param() { clubId, athleteId }: AthletePath,
    @Body() body: WorksOnBody,
  ): Promise<PersonReply> {
    return this.athletes.workOn(clubId, athleteId, body);
  }

  @Serves(ROUTES.watch, { takes: WatchedBody, gives: PersonReply })
  watch(
    @Param() { clubId, athleteId }: AthletePath,
    @Body() body: WatchedBody,
  ): Promise<PersonReply> {
    return this.athletes.watch(clubId, athleteId, body);
  }

  @Serves(ROUTES.archiveAthlete, { takes: ArchivedBody, gives: PersonReply })
  archive(
    @Param() { clubId, athleteId }: AthletePath,
    @Body() { archived }: ArchivedBody,
  ): Promise<PersonReply> {
    return this.athletes.archive(clubId, athleteId, archived);
  }
}
