import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { PlanBody, PlanReply } from '@orthokin/contract';
import { wrong } from '@orthokin/core/result';
import { accepted, unknown } from '../../platform/http/refusals.js';
import { saveRevised } from '../../platform/storage/save-revised.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Club } from '../clubs/club.entity.js';
import { PatternRow } from '../patterns/pattern.entity.js';
import { Plan } from './plan.entity.js';

/** A club's planned sessions. */
@Injectable()
export class PlansService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
  ) {}

  /** All plans, latest day first, without deleted athletes. */
  async of(clubId: string): Promise<PlanReply[]> {
    const plans = await this.em
      .fork()
      .find(Plan, { clubId }, { orderBy: { day: 'desc', startsAt: 'desc', id: 'desc' } });
    const named = [...new Set(plans.flatMap(({ athleteIds }) => athleteIds))];
    const known = await this.athletes.among(clubId, named);
    return plans.map((plan) => planReply(plan, known));
  }

  async one(clubId: string, id: string): Promise<PlanReply> {
    const plan = await this.em.fork().findOne(Plan, { clubId, id });
    if (!plan) throw unknown('planId', id, 'a plan');
    return planReply(plan, await this.athletes.among(clubId, plan.athleteIds));
  }

  /** Creates or changes a plan; refused if somebody else changed it meanwhile. */
  async save(clubId: string, id: string, body: PlanBody): Promise<PlanReply> {
    await this.check(clubId, body);
    const { programmeId = null, ...plan } = body;
    await saveRevised(this.em, Plan, { clubId, id, programmeId, ...plan }, 'plan');
    return { id, ...body };
  }

  async remove(clubId: string, id: string): Promise<void> {
    if ((await this.em.nativeDelete(Plan, { clubId, id })) === 0)
      throw unknown('planId', id, 'a plan');
  }

  private async check(clubId: string, { athleteIds, blocks }: PlanBody): Promise<void> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    await this.athletes.checkNamed(clubId, athleteIds);
    const named = blocks.flatMap(({ patternId }) => patternId ?? []);
    const patterns = await this.em.find(PatternRow, { clubId, id: { $in: named } });
    const ids = new Set(patterns.map(({ id }) => id));
    for (const [i, { patternId }] of blocks.entries())
      if (patternId !== null && !ids.has(patternId))
        accepted(wrong(`blocks[${i}].patternId`, patternId, 'the id of a pattern of this club'));
  }
}

/** A plan without athletes that no longer exist. */
const planReply = (
  { id, name, day, startsAt, minutes, athleteIds, blocks, programmeId, revision }: Plan,
  known: ReadonlySet<string>,
): PlanReply => ({
  ...{ id, name, day, startsAt, minutes, blocks, programmeId, revision },
  athleteIds: athleteIds.filter((athleteId) => known.has(athleteId)),
});
