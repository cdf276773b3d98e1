import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { squadForm, type SquadForm } from '@orthokin/core/stats';
import { CourseSetsService } from './course-sets.service.js';
import { SquadFormRow } from './squad-form.entity.js';

/** A squad is looked at over so many weeks. */
const SQUAD_WEEKS = 12;
const WEEK_MS = 7 * 24 * 60 * 60 * 1000;

export const squadSince = (now: Date): Date => new Date(now.getTime() - SQUAD_WEEKS * WEEK_MS);

/** The day, UTC, until which what is kept of these weeks holds. */
export const dayOf = (now: Date): string => now.toISOString().slice(0, 10);

/** What is usual in a squad: the day form and the worthwhile change its athletes are held against. */
@Injectable()
export class SquadFormsService {
  constructor(
    private readonly em: EntityManager,
    private readonly courses: CourseSetsService,
  ) {}

  async of(clubId: string, now = new Date()): Promise<SquadForm> {
    const day = dayOf(now);
    const kept = await this.em.findOne(SquadFormRow, { clubId, day }, { disableIdentityMap: true });
    if (kept) return kept.form;
    const courses = await this.courses.since(clubId, squadSince(now));
    const form = squadForm([...courses.values()]);
    // Of a club that is not there nothing is kept.
    await this.em.execute(
      `insert into squad_form (club_id, day, form) select club_id, ?, ? from club where club_id = ?
       on conflict (club_id) do update set day = excluded.day, form = excluded.form`,
      [day, JSON.stringify(form), clubId],
    );
    return form;
  }
}
