import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { AthleteLadderReply, LadderPlaceReply, LadderReply } from '@orthokin/contract';
import { Athlete } from '../athletes/athlete.entity.js';
import { athleteReply, AthletesService } from '../athletes/athletes.service.js';
import { LadderStanding } from '../drills/ladder-standing.entity.js';
import type { PatternVersion } from '../patterns/pattern-version.entity.js';
import { PatternsService, versionReply } from '../patterns/patterns.service.js';
import { DecisionsService } from './decisions.service.js';
import { LaddersService } from './ladders.service.js';
import { PlacesService } from './places.service.js';
import { moveReply } from './progress.service.js';

/** Ladders as they are looked at: one athlete's, or everyone's on a pattern. */
@Injectable()
export class LadderViewService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
    private readonly decisions: DecisionsService,
  ) {}

  async ofAthlete(
    clubId: string,
    patternId: string,
    athleteId: string,
  ): Promise<AthleteLadderReply> {
    const [athlete, newest] = await Promise.all([
      this.athletes.one(clubId, athleteId),
      this.patterns.newest(clubId, patternId),
    ]);
    const [standing, settings, ownLimits, moves] = await Promise.all([
      this.decisions.standing({ clubId, athleteId, patternId }, newest),
      this.ladders.settings(clubId, patternId),
      this.ladders.ownLimits(clubId, athleteId, patternId),
      this.places.movesOn(clubId, athleteId, patternId),
    ]);
    const { pattern, rung, decision, evidence } = standing;
    return {
      athlete: athleteReply(athlete),
      pattern: versionReply({ ...newest, body: pattern }),
      settings: settings,
      ownLimits: ownLimits,
      ...{ rung, decision },
      evidence: evidence.map(({ setId, startedAt, judgement, staircase = null }) => ({
        ...{ setId, judgement, staircase },
        startedAt: startedAt.toISOString(),
      })),
      moves: moves.map(moveReply),
    };
  }

  async ofEveryone(clubId: string, patternId: string): Promise<LadderReply> {
    const newest = await this.patterns.newest(clubId, patternId);
    const [settings, athletes, kept] = await Promise.all([
      this.ladders.settings(clubId, patternId),
      this.workingOn(clubId, patternId),
      this.em.find(
        LadderStanding,
        { clubId, patternId, patternVersion: newest.version },
        { disableIdentityMap: true },
      ),
    ]);
    const standings = new Map(kept.map((row) => [row.athleteId, row]));
    const missing = athletes.filter(({ id }) => !standings.has(id));
    for (const row of await this.workOut(clubId, missing, newest))
      standings.set(row.athleteId, row);
    return {
      pattern: versionReply(newest),
      settings: settings,
      everyone: athletes.flatMap((athlete): LadderPlaceReply[] => {
        const standing = standings.get(athlete.id);
        if (!standing) return [];
        const { rung, decision } = standing;
        return [{ athlete: athleteReply(athlete), rung, decision: { ...decision } }];
      }),
    };
  }

  /** Whose newest set is on the pattern, or who was given it and has none yet. */
  private async workingOn(clubId: string, patternId: string): Promise<Athlete[]> {
    const rows = await this.em.execute<{ id: string }[]>(
      `select a.id from athlete a where a.club_id = ? and coalesce(
         (select s.pattern_id from drill_set s
          where s.club_id = a.club_id and s.athlete_id = a.id order by s.started_at desc limit 1),
         a.pattern_id) = ?`,
      [clubId, patternId],
    );
    const ids = new Set(rows.map(({ id }) => id));
    return (await this.athletes.all(clubId)).filter(({ id }) => ids.has(id));
  }

  private async workOut(
    clubId: string,
    athletes: readonly Athlete[],
    newest: PatternVersion,
  ): Promise<LadderStanding[]> {
    if (athletes.length === 0 || newest.body.rungs.length === 0) return [];
    const { patternId, version } = newest;
    return this.em.transactional(async (em) => {
      // Whoever adds a rep or moves an athlete holds the athlete: what is kept is never older.
      await em.find(
        Athlete,
        { clubId, id: { $in: athletes.map(({ id }) => id) } },
        { lockMode: LockMode.PESSIMISTIC_WRITE, orderBy: { id: 'asc' } },
      );
      const rows: LadderStanding[] = [];
      for (const { id: athleteId } of athletes) {
        const climb = { clubId, athleteId, patternId };
        const { rung, decision } = await this.decisions.standing(climb, newest);
        rows.push({ ...climb, patternVersion: version, rung, decision });
      }
      await em.upsertMany(LadderStanding, rows);
      return rows;
    });
  }
}
