import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ClubBody, ClubReply } from '@orthokin/contract';
import { Club } from './club.entity.js';

@Injectable()
export class ClubsService {
  constructor(private readonly em: EntityManager) {}

  all(): Promise<ClubReply[]> {
    return this.em.find(Club, {}, { orderBy: { name: 'asc', clubId: 'asc' } });
  }

  /** Begins a club, or calls it anew: what was said last stands. */
  async save(clubId: string, { name, sport, unit, faults }: ClubBody): Promise<ClubReply> {
    const before = await this.em.findOne(Club, { clubId }, { fields: ['faults'] });
    const club = {
      ...{ clubId, name, sport: sport ?? '', unit: unit ?? 'metres' },
      faults: faults ?? before?.faults ?? [],
    };
    await this.em.upsert(Club, club);
    return club;
  }
}
