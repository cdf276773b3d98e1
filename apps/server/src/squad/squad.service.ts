import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { DrillSetupReply, LastSetReply, SquadLineReply } from '@orthokin/contract';
import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import type { Athlete } from '../athletes/athlete.entity.js';
import { athleteReply, AthletesService } from '../athletes/athletes.service.js';
import { DrillSet } from '../drills/drill-set.entity.js';
import type { PatternRow } from '../patterns/pattern.entity.js';
import { patternReply, PatternsService, storedRung } from '../patterns/patterns.service.js';
import { ProgressService } from '../progress/progress.service.js';

/** The squad at a glance, and what the floor needs to start with one of them. */
@Injectable()
export class SquadService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly progress: ProgressService,
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
    patterns: ReadonlyMap<string, PatternRow>,
    lastSet: DrillSet | undefined,
  ): Promise<SquadLineReply> {
    const { clubId, id, patternId } = athlete;
    const pattern = patterns.get(patternId);
    if (!pattern) throw new Error(`Athlete ${id} works on an unknown pattern ${patternId}.`);
    const { rung } = await this.progress.place(clubId, id, patternId);
    const lastPattern = lastSet && patterns.get(lastSet.patternId);
    return {
      athlete: athleteReply(athlete),
      patternId,
      patternName: pattern.name,
      rung,
      rungName: storedRung(pattern.body, rung).name,
      rungs: pattern.body.rungs.length,
      lastSet: lastSet && lastPattern ? await this.lastSetReply(lastSet, lastPattern) : null,
    };
  }

  private async lastSetReply(set: DrillSet, pattern: PatternRow): Promise<LastSetReply> {
    const { judgement, decision } = await this.progress.assess(set, pattern);
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

  async drillSetup(clubId: string, athleteId: string): Promise<DrillSetupReply> {
    const athlete = await this.athletes.one(clubId, athleteId);
    const { patternId } = athlete;
    const [pattern, { rung }, [days]] = await Promise.all([
      this.patterns.one(clubId, patternId),
      this.progress.place(clubId, athleteId, patternId),
      this.em.execute<{ n: number }[]>(
        `select count(distinct day)::int as n from drill_set
         where club_id = ? and athlete_id = ? and pattern_id = ?`,
        [clubId, athleteId, patternId],
      ),
    ]);
    return {
      athlete: athleteReply(athlete),
      pattern: patternReply(pattern),
      rung,
      sessionsBefore: days?.n ?? 0,
      simulated: athlete.simulated ?? TYPICAL_ATHLETE,
    };
  }
}
