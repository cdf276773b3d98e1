import { Controller, Param, Query } from '@nestjs/common';
import {
  AthleteCourseReply,
  AthletePath,
  AthleteRepsReply,
  ClubPath,
  PoolQuery,
  StandingReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { CourseService } from './course.service.js';
import { StandingsService } from './standings.service.js';

@Controller()
export class CourseController {
  constructor(
    private readonly courses: CourseService,
    private readonly squad: StandingsService,
  ) {}

  @Serves(ROUTES.course, { gives: AthleteCourseReply, shared: true })
  course(@Param() { clubId, athleteId }: AthletePath): Promise<AthleteCourseReply> {
    return this.courses.course(clubId, athleteId);
  }

  @Serves(ROUTES.athleteReps, { asks: PoolQuery, gives: AthleteRepsReply })
  reps(
    @Param() { clubId, athleteId }: AthletePath,
    @Query() query: PoolQuery,
  ): Promise<AthleteRepsReply> {
    return this.courses.reps(clubId, athleteId, query);
  }

  @Serves(ROUTES.standings, { gives: StandingReply, each: true, shared: true })
  standings(@Param() { clubId }: ClubPath): Promise<StandingReply[]> {
    return this.squad.of(clubId);
  }
}
