import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ClubBody, ClubReply } from '@orthokin/contract';
import { callerNow } from '../../platform/auth/caller.js';
import { withinClub } from '../../platform/auth/scope.js';
import { Club } from './club.entity.js';

@Injectable()
export class ClubsService {
  constructor(private readonly em: EntityManager) {}

  /** Clubs the caller may open: the one they are signed in to, or, on this machine, clubs without an owner. */
  async all(): Promise<ClubReply[]> {
    const { signedIn, isThisMachine } = callerNow();
    if (signedIn) {
      const { clubId } = signedIn;
      return withinClub(clubId, async () =>
        (await this.em.fork().find(Club, { clubId })).map(clubReply),
      );
    }
    return isThisMachine ? this.open() : [];
  }

  /** Whether any club has an owner. */
  async hasOwned(): Promise<boolean> {
    const [row] = await this.em.execute<{ has: boolean }[]>(`select has_owned_club() as has`);
    return row?.has ?? false;
  }

  /** Clubs without an owner, by name. */
  open(): Promise<ClubReply[]> {
    return this.em.execute<ClubReply[]>(
      `select club_id as "clubId", name, sport, unit, faults from open_clubs() order by name, club_id`,
    );
  }

  /** Creates or changes a club; the last request wins. */
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

const clubReply = ({ clubId, name, sport, unit, faults }: Club): ClubReply => ({
  ...{ clubId, name, sport, unit, faults },
});
