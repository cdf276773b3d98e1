import { Body, Controller, Param } from '@nestjs/common';
import { ClubPath, NewPlanPath, PlanBody, PlanPath, PlanReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { PlansService } from './plans.service.js';

@Controller()
export class PlansController {
  constructor(private readonly plans: PlansService) {}

  @Serves(ROUTES.plans, { gives: PlanReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<PlanReply[]> {
    return this.plans.of(clubId);
  }

  @Serves(ROUTES.plan, { gives: PlanReply })
  one(@Param() { clubId, planId }: PlanPath): Promise<PlanReply> {
    return this.plans.one(clubId, planId);
  }

  @Serves(ROUTES.savePlan, { takes: PlanBody, gives: PlanReply })
  save(@Param() { clubId, planId }: NewPlanPath, @Body() body: PlanBody): Promise<PlanReply> {
    return this.plans.save(clubId, planId, body);
  }

  @Serves(ROUTES.removePlan)
  async remove(@Param() { clubId, planId }: PlanPath): Promise<object> {
    await this.plans.remove(clubId, planId);
    return {};
  }
}
