import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { DrillSetupReply } from '@orthokin/contract';
import { laidFor, ownBuild } from '@orthokin/core/people';
import { usualTimes, withOwnLimits } from '@orthokin/core/progress';
import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import { FiguresService } from '../derived/figures.service.js';
import { AthleteCareService } from './athlete-care.service.js';
import { athleteReply, AthletesService } from '../domains/athletes/athletes.service.js';
import {
  PatternsService,
  reachedRung,
  versionReply,
} from '../domains/patterns/patterns.service.js';
import { LaddersService } from '../domains/progress/ladders.service.js';
import { PlacesService } from '../domains/progress/places.service.js';
import { conflict } from '../platform/http/refusals.js';

/** What the floor needs before a drill with an athlete. */
@Injectable()
export class DrillSetupService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
    private readonly care: AthleteCareService,
    private readonly figures: FiguresService,
  ) {}

  /** @param wanted a pattern's id, if not the one the athlete is working on */
  async of(clubId: string, athleteId: string, wanted?: string): Promise<DrillSetupReply> {
    const athlete = await this.athletes.one(clubId, athleteId);
    if (athlete.archivedAt !== null)
      throw conflict(
        'athleteId',
        athlete.name,
        'somebody who is not put away (People brings back)',
      );
    const patternId = wanted ?? athlete.patternId;
    const [pattern, worksOn, ladder, own, place, care, newestSets, [days]] = await Promise.all([
      this.patterns.newest(clubId, patternId),
      this.patterns.newest(clubId, athlete.patternId),
      this.ladders.settings(clubId, patternId),
      this.ladders.ownLimits(clubId, athleteId, patternId),
      this.places.place(clubId, athleteId, patternId),
      this.care.of(clubId, athlete),
      this.figures.ofNewest(clubId, athleteId, patternId),
      this.em.execute<{ n: number }[]>(
        `select count(distinct day)::int as n from drill_set
         where club_id = ? and athlete_id = ? and pattern_id = ?`,
        [clubId, athleteId, patternId],
      ),
    ]);
    if (pattern.body.rungs.length === 0)
      throw conflict('patternId', patternId, 'a pattern with targets, and so with rungs');
    const { build, from, held } = ownBuild(athlete, pattern.body);
    return {
      athlete: athleteReply(athlete),
      pattern: versionReply({
        ...pattern,
        body: laidFor({ ...pattern.body, rungs: withOwnLimits(pattern.body.rungs, own) }, build),
      }),
      worksOn: { id: athlete.patternId, name: worksOn.body.name },
      care,
      watched: athlete.watched,
      built: { ...from, held },
      ownLimits: own.map(({ rung }) => rung),
      ladder,
      rung: reachedRung(pattern.body, place.rung).number,
      usualMs: usualTimes(newestSets),
      sessionsBefore: days?.n ?? 0,
      simulated: athlete.simulated ?? TYPICAL_ATHLETE,
    };
  }
}
