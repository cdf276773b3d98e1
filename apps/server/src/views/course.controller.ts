import { Controller, Get, Param, Query } from '@nestjs/common';
import {
  AthleteCourseReply,
  AthletePath,
  AthleteRepsReply,
  ClubPath,
  PoolQuery,
  StandingReply,
} from '@orthokin/contract';
import { Gives } from '../platform/http/openapi.js';
import { CourseService } from './course.service.js';
import { StandingsService } from './standings.service.js';

@Controller('clubs/:clubId')
export class CourseController {
  constructor(
    private readonly courses: CourseService,
    private readonly squad: StandingsService,
  ) {}

  @Get('athletes/:athleteId/course')
  @Gives(AthleteCourseReply)
  course(@Param() { clubId, athleteId }: AthletePath): Promise<AthleteCourseReply> {
    return this.courses.course(clubId, athleteId);
  }

  @Get('athletes/:athleteId/reps')
  @Gives(AthleteRepsReply)
  reps(
    @Param() { clubId, athleteId }: AthletePath,
    @Query() query: PoolQuery,
  ): Promise<AthleteRepsReply> {
    return this.courses.reps(clubId, athleteId, query);
  }

  @Get('standings')
  @Gives(StandingReply, { each: true })
  standings(@Param() { clubId }: ClubPath): Promise<StandingReply[]> {
    return this.squad.of(clubId);
  }
}
