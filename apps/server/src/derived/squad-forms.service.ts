import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { athleteForm, squadFormOf, type SquadForm } from '@orthokin/core/stats';
import { seeingWholeClub } from '../platform/auth/walls.js';
import { piecemeal } from '../platform/work/piecemeal.js';
import { CourseSetsService } from './course-sets.service.js';
import type { SquadFormRow } from './squad-form.entity.js';

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
    const kept = await this.kept(clubId, now);
    return kept ?? this.workOut(clubId, now);
  }

  private async kept(clubId: string, now: Date): Promise<SquadForm | null> {
    const [kept] = await this.em.execute<Pick<SquadFormRow, 'form'>[]>(
      `select form from squad_form where club_id = ? and day = ?`,
      [clubId, dayOf(now)],
    );
    return kept?.form ?? null;
  }

  private workOut(clubId: string, now: Date): Promise<SquadForm> {
    return this.em.transactional(async (em) => {
      // One at a time; of a club that is not there nothing is kept.
      const club = await em.execute(`select from club where club_id = ? for no key update`, [
        clubId,
      ]);
      const kept = await this.kept(clubId, now);
      if (kept) return kept;
      // It is the squad's, whoever asks for it.
      const courses = await seeingWholeClub(em, () => this.courses.since(clubId, squadSince(now)));
      const form = squadFormOf(await piecemeal([...courses.values()], athleteForm));
      if (club.length > 0)
        await em.execute(
          `insert into squad_form (club_id, day, form) values (?, ?, ?)
           on conflict (club_id) do update set day = excluded.day, form = excluded.form`,
          [clubId, dayOf(now), JSON.stringify(form)],
        );
      return form;
    });
  }
}
