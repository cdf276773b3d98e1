import { Controller, Param } from '@nestjs/common';
import { SetPath, SetReviewReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../platform/http/serves.js';
import { ReviewService } from './review.service.js';

@Controller()
export class ReviewController {
  constructor(private readonly review: ReviewService) {}

  @Serves(ROUTES.review, { gives: SetReviewReply })
  set(@Param() { clubId, setId }: SetPath): Promise<SetReviewReply> {
    return this.review.review(clubId, setId);
  }
}
