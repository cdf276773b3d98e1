import { Controller, Get, Header, Param } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { SetPath, SetReviewReply } from '@orthokin/contract';
import { Gives } from '../http/openapi.js';
import { ReviewService } from './review.service.js';

const CSV = 'text/csv; charset=utf-8';

@Controller()
export class ReviewController {
  constructor(private readonly review: ReviewService) {}

  @Get('clubs/:clubId/sets/:setId')
  @Gives(SetReviewReply)
  set(@Param() { clubId, setId }: SetPath): Promise<SetReviewReply> {
    return this.review.review(clubId, setId);
  }

  @Get('clubs/:clubId/sets/:setId/reps.csv')
  @ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } })
  @Header('Content-Type', CSV)
  @Header('Content-Disposition', 'attachment; filename="orthokin-reps.csv"')
  reps(@Param() { clubId, setId }: SetPath): Promise<string> {
    return this.review.repsCsv(clubId, setId);
  }

  @Get('reps-dictionary.csv')
  @ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } })
  @Header('Content-Type', CSV)
  @Header('Content-Disposition', 'attachment; filename="orthokin-reps-dictionary.csv"')
  dictionary(): string {
    return this.review.dictionaryCsv();
  }
}
