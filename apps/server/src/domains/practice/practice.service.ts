import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { HomePracticeBody, HomePracticeReply } from '@orthokin/contract';
import { unknown } from '../../platform/http/refusals.js';
import { refuseAhead } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Club } from '../clubs/club.entity.js';
import { HomePractice } from './home-practice.entity.js';

/** Older practice is only in the club's file. */
const NEWEST = 2000;

/** Athletes' practice without the coach. */
@Injectable()
export class PracticeService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
  ) {}

  /** Recent practice that was not withdrawn, latest day first. */
  async newest(clubId: string): Promise<HomePracticeReply[]> {
    const rows = await this.em
      .fork()
      .find(
        HomePractice,
        { clubId, removed: false },
        { orderBy: { day: 'desc', id: 'desc' }, limit: NEWEST },
      );
    return rows.map(practiceReply);
  }

  /** Writes, withdraws or restores an entry; the last request wins. */
  async write(clubId: string, id: string, body: HomePracticeBody): Promise<HomePracticeReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    await this.athletes.one(clubId, body.athleteId);
    refuseAhead('day', `${body.day}T00:00:00Z`);
    refuseAhead('writtenAt', body.writtenAt);
    await this.em.upsert(HomePractice, {
      ...{ clubId, id, ...body },
      ...{ writtenAt: new Date(body.writtenAt), checks: body.checks ?? null },
    });
    return { id, ...body };
  }
}

/** An entry as replies and files have it. */
export const practiceReply = (row: HomePractice): HomePracticeReply => {
  const { id, athleteId, day, minutes, effort, text, checks, writtenAt, removed } = row;
  return {
    ...{ id, athleteId, day, minutes, effort, text, removed },
    ...(checks && { checks }),
    writtenAt: writtenAt.toISOString(),
  };
};
