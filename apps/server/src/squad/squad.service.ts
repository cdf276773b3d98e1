import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { DrillSetupReply, LastSetReply, SquadLineReply } from '@orthokin/contract';
import { withOwnLimits } from '@orthokin/core/progress';
import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import type { Athlete } from '../athletes/athlete.entity.js';
import { athleteReply, AthletesService } from '../athletes/athletes.service.js';
import { DrillSet } from '../drills/drill-set.entity.js';
import type { PatternVersion } from '../patterns/pattern-version.entity.js';
import { PatternsService, reachedRung, versionReply } from '../patterns/patterns.service.js';
import { conflict } from '../http/refusals.js';
import { DecisionsService } from '../progress/decisions.service.js';
import { LaddersService } from '../progress/ladders.service.js';
import { PlacesService } from '../progress/places.service.js';

/** The squad at a glance, and what the floor needs to start with one of them. */
@Injectable()
export class SquadService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly decisions: DecisionsService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
  ) {}

  async squad(clubId: string): Promise<SquadLineReply[]> {
    const [athletes, patterns, lastSets] = await Promise.all([
      this.athletes.all(clubId),
      this.patterns.all(clubId),
      this.lastSets(clubId),
    ]);
    return Promise.all(
      athletes.map((athlete) => this.line(athlete, patterns, lastSets.get(athlete.id))),
    );
  }

  private async line(
    athlete: Athlete,
    patterns: ReadonlyMap<string, PatternVersion>,
    lastSet: DrillSet | undefined,
  ): Promise<SquadLineReply> {
    const { clubId, id } = athlete;
    const patternId = workingOn(athlete, lastSet);
    const pattern = patterns.get(patternId)?.body;
    if (!pattern) throw new Error(`Athlete ${id} works on an unknown pattern ${patternId}.`);
    const place = await this.places.place(clubId, id, patternId);
    const rung = reachedRung(pattern, place.rung);
    return {
      athlete: athleteReply(athlete),
      patternId,
      patternName: pattern.name,
      rung: rung.number,
      rungName: rung.name,
      rungs: pattern.rungs.length,
      lastSet: lastSet ? await this.lastSetReply(lastSet) : null,
    };
  }

  private async lastSetReply(set: DrillSet): Promise<LastSetReply> {
    const { clubId, patternId, patternVersion } = set;
    const pattern = await this.patterns.version(clubId, patternId, patternVersion);
    const { judgement, decision } = await this.decisions.assess(set, pattern);
    return {
      id: set.id,
      startedAt: set.startedAt.toISOString(),
      rung: set.rung,
      outcome: judgement.outcome,
      decision: { ...decision },
    };
  }

  /** The newest set of each athlete of a club. */
  private async lastSets(clubId: string): Promise<Map<string, DrillSet>> {
    const rows = await this.em.execute<{ id: string }[]>(
      `select distinct on (athlete_id) id from drill_set
       where club_id = ? order by athlete_id, started_at desc`,
      [clubId],
    );
    const sets = await this.em.find(DrillSet, { clubId, id: { $in: rows.map(({ id }) => id) } });
    return new Map(sets.map((set) => [set.athleteId, set]));
  }

  /** What the floor needs; on another pattern than the athlete is working on where one is named. */
  async drillSetup(clubId: string, athleteId: string, wanted?: string): Promise<DrillSetupReply> {
    const athlete = await this.athletes.one(clubId, athleteId);
    const [newest] = await this.em.find(
      DrillSet,
      { clubId, athleteId },
      { orderBy: { startedAt: 'desc' }, limit: 1 },
    );
    const patternId = wanted ?? workingOn(athlete, newest);
    const [pattern, ladder, own, place, [days]] = await Promise.all([
      this.patterns.newest(clubId, patternId),
      this.ladders.settings(clubId, patternId),
      this.ladders.ownLimits(clubId, athleteId, patternId),
      this.places.place(clubId, athleteId, patternId),
      this.em.execute<{ n: number }[]>(
        `select count(distinct day)::int as n from drill_set
         where club_id = ? and athlete_id = ? and pattern_id = ?`,
        [clubId, athleteId, patternId],
      ),
    ]);
    if (pattern.body.rungs.length === 0)
      throw conflict('patternId', patternId, 'a pattern with targets, and so with rungs');
    return {
      athlete: athleteReply(athlete),
      pattern: versionReply({
        ...pattern,
        body: { ...pattern.body, rungs: withOwnLimits(pattern.body.rungs, own) },
      }),
      ownLimits: own.map(({ rung }) => rung),
      ladder: ladder,
      rung: reachedRung(pattern.body, place.rung).number,
      sessionsBefore: days?.n ?? 0,
      simulated: athlete.simulated ?? TYPICAL_ATHLETE,
    };
  }
}

/** The pattern of the newest set; before any, the one the athlete was given. */
const workingOn = (athlete: Athlete, newest: DrillSet | undefined): string =>
  newest?.patternId ?? athlete.patternId;
