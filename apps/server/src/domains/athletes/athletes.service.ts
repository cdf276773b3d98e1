import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { AthleteReply } from '@orthokin/contract';
import { unknown } from '../../platform/http/refusals.js';
import { Athlete } from './athlete.entity.js';

@Injectable()
export class AthletesService {
  constructor(private readonly em: EntityManager) {}

  all(clubId: string): Promise<Athlete[]> {
    return this.em.find(Athlete, { clubId }, { orderBy: { name: 'asc' } });
  }

  async one(clubId: string, id: string): Promise<Athlete> {
    const athlete = await this.em.findOne(Athlete, { clubId, id });
    if (!athlete) throw unknown('athleteId', id, 'an athlete');
    return athlete;
  }
}

export const athleteReply = ({
  id,
  name,
  hand,
  ageBand,
  colourVision,
  note,
}: Athlete): AthleteReply => ({
  id,
  name,
  hand,
  ageBand,
  colourVision,
  note,
});
