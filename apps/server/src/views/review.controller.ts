import { Controller, Get, Param } from '@nestjs/common';
import { SetPath, SetReviewReply } from '@orthokin/contract';
import { Gives } from '../platform/http/openapi.js';
import { ReviewService } from './review.service.js';

@Controller()
export class ReviewController {
  constructor(private readonly review: ReviewService) {}

  @Get('clubs/:clubId/sets/:setId')
  @Gives(SetReviewReply)
  set(@Param() { clubId, setId }: SetPath): Promise<SetReviewReply> {
    return this.review.review(clubId, setId);
  }
}
