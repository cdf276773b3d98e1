import { Injectable } from '@nestjs/common';
import type { AthleteLadderReply, LadderPlaceReply, LadderReply } from '@orthokin/contract';
import { athleteReply, AthletesService } from '../domains/athletes/athletes.service.js';
import { LadderStandingsService } from '../derived/ladder-standings.service.js';
import { PatternsService, versionReply } from '../domains/patterns/patterns.service.js';
import { DecisionsService } from '../derived/decisions.service.js';
import { LaddersService } from '../domains/progress/ladders.service.js';
import { PlacesService } from '../domains/progress/places.service.js';
import { moveReply } from '../domains/progress/progress.service.js';
import { conflict } from '../platform/http/refusals.js';

/** Ladder pages: one athlete's, or everybody's on a pattern. */
@Injectable()
export class LadderViewService {
  constructor(
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
    private readonly decisions: DecisionsService,
    private readonly standings: LadderStandingsService,
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
    if (newest.body.rungs.length === 0)
      throw conflict('patternId', patternId, 'a pattern with targets, and so with rungs');
    const [[standing], settings, ownLimits, moves] = await Promise.all([
      this.decisions.standings(clubId, [{ athleteId, patternId, newest }]),
      this.ladders.settings(clubId, patternId),
      this.ladders.ownLimits(clubId, athleteId, patternId),
      this.places.movesOn(clubId, athleteId, patternId),
    ]);
    if (!standing) throw new Error(`Athlete ${athleteId} has no standing on ${patternId}.`);
    const { pattern, rung, decision, evidence } = standing;
    return {
      athlete: athleteReply(athlete),
      pattern: versionReply({ ...newest, body: pattern }),
      ...{ settings, ownLimits },
      ...{ rung, decision },
      evidence: evidence.map(({ startedAt, ...set }) => ({
        ...set,
        startedAt: startedAt.toISOString(),
      })),
      moves: moves.map(moveReply),
    };
  }

  async ofEveryone(clubId: string, patternId: string): Promise<LadderReply> {
    const [newest, settings, all] = await Promise.all([
      this.patterns.newest(clubId, patternId),
      this.ladders.settings(clubId, patternId),
      this.athletes.all(clubId),
    ]);
    const athletes = all.filter((athlete) => athlete.patternId === patternId);
    const standings = await this.standings.of(
      clubId,
      athletes.map(({ id: athleteId }) => ({ athleteId, patternId, version: newest.version })),
    );
    return {
      pattern: versionReply(newest),
      settings,
      everyone: athletes.flatMap((athlete): LadderPlaceReply[] => {
        const standing = standings.get(athlete.id);
        if (!standing) return [];
        const { rung, decision } = standing;
        return [{ athlete: athleteReply(athlete), rung, decision: { ...decision } }];
      }),
    };
  }
}
