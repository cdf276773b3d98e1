import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { Erasure } from '@orthokin/core/people';
import { v7 } from 'uuid';
import { letNobodySee } from '../domains/accounts/forgotten.js';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { bandNow } from '../domains/athletes/athletes.service.js';
import { Changes } from '../domains/changes.js';
import { Erased } from '../domains/privacy/erased.entity.js';
import { saidBy } from '../platform/auth/caller.js';
import { Sessions } from '../platform/auth/sessions.js';
import { unknown } from '../platform/http/refusals.js';
import { CLUB_LIST_NAMES, CLUB_PARTS } from './parts.js';

/** Shown in place of a name. */
const NAMELESS = 'Former athlete';
/** The author recorded if the club has no accounts. */
const AT_MACHINE = 'whoever was at the club’s machine';

interface Done {
  readonly sets: number;
  readonly reps: number;
}

/** Erases an athlete: afterwards nothing names them, and only the fact is kept. */
@Injectable()
export class ErasingService {
  constructor(
    private readonly em: EntityManager,
    private readonly changes: Changes,
    private readonly sessions: Sessions,
  ) {}

  async erase(clubId: string, id: string, how: Erasure): Promise<void> {
    await this.em.transactional(async (em) => {
      const found = await em.findOne(
        Athlete,
        { clubId, id },
        { lockMode: LockMode.PESSIMISTIC_WRITE },
      );
      if (!found) throw unknown('athleteId', id, 'an athlete');
      const done = await doneBy(em, clubId, id);
      if (how === 'nameless') await this.handOver(em, found);
      for (const list of CLUB_LIST_NAMES) await CLUB_PARTS[list].forget?.(em, clubId, id);
      await letNobodySee(em, clubId, id);
      await em.nativeDelete(Athlete, { clubId, id });
      await em.insert(Erased, {
        ...{ clubId, id: v7(), athleteId: id, how, ...done },
        ...{ erasedBy: saidBy(AT_MACHINE), erasedAt: new Date() },
      });
    });
    this.sessions.readAnew();
  }

  /** Moves their sets to an anonymous athlete, so that the club's totals stay true. */
  private async handOver(em: EntityManager, athlete: Athlete): Promise<void> {
    const { clubId, id, hand, ageBand, bornOn, patternId } = athlete;
    const heir = v7();
    await em.insert(Athlete, {
      ...{ clubId, id: heir, name: NAMELESS, hand, patternId, archivedAt: new Date() },
      ...{ ageBand: bandNow(ageBand, bornOn), colourVision: 'full', watched: [] },
    });
    for (const list of CLUB_LIST_NAMES) await CLUB_PARTS[list].bequeath?.(em, clubId, id, heir);
    await this.changes.tell(em, { of: 'sets', clubId, athleteId: heir });
  }
}

async function doneBy(em: EntityManager, clubId: string, athleteId: string): Promise<Done> {
  const [done] = await em.execute<Done[]>(
    `select count(distinct s.id)::int as sets, count(r.id)::int as reps
     from drill_set s left join rep r on r.club_id = s.club_id and r.set_id = s.id
     where s.club_id = ? and s.athlete_id = ?`,
    [clubId, athleteId],
  );
  return done ?? { sets: 0, reps: 0 };
}
