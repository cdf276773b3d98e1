import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { athleteForm, squadFormOf, type SquadForm } from '@orthokin/core/stats';
import { withinClub } from '../platform/auth/scope.js';
import { piecemeal } from '../platform/work/piecemeal.js';
import { CourseSetsService } from './course-sets.service.js';
import type { SquadFormRow } from './squad-form.entity.js';

/** How many weeks a squad's figures look back. */
const SQUAD_WEEKS = 12;
const WEEK_MS = 7 * 24 * 60 * 60 * 1000;

export const squadSince = (now: Date): Date => new Date(now.getTime() - SQUAD_WEEKS * WEEK_MS);

/** The cache key: the day (UTC) until which derived weeks hold. */
export const dayOf = (now: Date): string => now.toISOString().slice(0, 10);

/** A squad's day form and worthwhile change, which its athletes' changes are held against. */
@Injectable()
export class SquadFormsService {
  private readonly underWay = new Map<string, Promise<SquadForm>>();

  constructor(
    private readonly em: EntityManager,
    private readonly courses: CourseSetsService,
  ) {}

  /** Working it out takes a second, so simultaneous requests share one calculation. */
  async of(clubId: string, now = new Date()): Promise<SquadForm> {
    const kept = await this.kept(clubId, now);
    if (kept) return kept;
    // A locking read, which a standby refuses: otherwise the calculation would begin there, fail when it writes, and
    // take along those on the leader who share it.
    await this.em.execute(`select from club where club_id = ? for key share`, [clubId]);
    const begun =
      this.underWay.get(clubId) ??
      this.workOut(clubId, now).finally(() => this.underWay.delete(clubId));
    this.underWay.set(clubId, begun);
    return begun;
  }

  private async kept(clubId: string, now: Date): Promise<SquadForm | null> {
    const [kept] = await this.em.execute<Pick<SquadFormRow, 'form'>[]>(
      `select form from squad_form where club_id = ? and day = ?`,
      [clubId, dayOf(now)],
    );
    return kept?.form ?? null;
  }

  private async workOut(clubId: string, now: Date): Promise<SquadForm> {
    // In the whole club's scope, since the result is shared by everybody who asks.
    const courses = await withinClub(clubId, () => this.courses.since(clubId, squadSince(now)));
    const form = squadFormOf(await piecemeal([...courses.values()], athleteForm));
    // Selecting from `club` stores nothing for a club that has been deleted meanwhile.
    await this.em.execute(
      `insert into squad_form (club_id, day, form) select club_id, ?, ? from club where club_id = ?
       on conflict (club_id) do update set day = excluded.day, form = excluded.form`,
      [dayOf(now), JSON.stringify(form), clubId],
    );
    return form;
  }
}
