import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { standingOf, type Standing } from '@orthokin/core/stats';
import { piecemeal } from '../platform/work/piecemeal.js';
import { AthleteStanding } from './athlete-standing.entity.js';
import { CourseSetsService } from './course-sets.service.js';
import { keepWorkedOut } from './keep-worked-out.js';
import { dayOf, squadSince, SquadFormsService } from './squad-forms.service.js';

/** How everybody in a squad stands, from the sets of recent weeks. */
@Injectable()
export class AthleteStandingsService {
  constructor(
    private readonly em: EntityManager,
    private readonly courses: CourseSetsService,
    private readonly forms: SquadFormsService,
  ) {}

  /** Standings by athlete: cached ones from today, others worked out and cached. */
  async of(
    clubId: string,
    athleteIds: readonly string[],
    now = new Date(),
  ): Promise<ReadonlyMap<string, Standing>> {
    const day = dayOf(now);
    const standings = await this.kept(clubId, athleteIds, day);
    const lacking = athleteIds.filter((id) => !standings.has(id));
    if (lacking.length === 0) return standings;
    const squad = await this.forms.of(clubId, now);
    const rows = await keepWorkedOut(this.em, clubId, lacking, {
      entity: AthleteStanding,
      athleteOf: ({ id }) => id,
      workOut: async (ids) => {
        const courses = await this.courses.since(clubId, squadSince(now), ids);
        return piecemeal(ids, (id) => {
          const standing = standingOf(courses.get(id) ?? [], squad);
          return { clubId, id, day, standing };
        });
      },
    });
    for (const { id, standing } of rows) standings.set(id, standing);
    return standings;
  }

  private async kept(
    clubId: string,
    athleteIds: readonly string[],
    day: string,
  ): Promise<Map<string, Standing>> {
    const rows = await this.em.execute<{ id: string; standing: Standing }[]>(
      `select id, standing from athlete_standing
       where club_id = ? and day = ? and id = any (?::uuid[])`,
      [clubId, day, `{${athleteIds.join(',')}}`],
    );
    return new Map(rows.map(({ id, standing }) => [id, standing]));
  }
}
