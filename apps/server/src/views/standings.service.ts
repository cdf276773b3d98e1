import { Injectable } from '@nestjs/common';
import type { StandingReply } from '@orthokin/contract';
import { decisionHead } from '@orthokin/core/progress';
import { AthleteStandingsService } from '../derived/athlete-standings.service.js';
import { LadderStandingsService } from '../derived/ladder-standings.service.js';
import { SquadLinesService } from '../derived/squad-lines.service.js';
import { PatternsService } from '../domains/patterns/patterns.service.js';

/** How everybody in a squad stands, and which changes are clear enough to mention unasked. */
@Injectable()
export class StandingsService {
  constructor(
    private readonly lines: SquadLinesService,
    private readonly standings: AthleteStandingsService,
    private readonly ladders: LadderStandingsService,
    private readonly patterns: PatternsService,
  ) {}

  async of(clubId: string): Promise<StandingReply[]> {
    const lines = await this.lines.of(clubId);
    const [standings, newest] = await Promise.all([
      this.standings.of(
        clubId,
        lines.map(({ athlete }) => athlete.id),
      ),
      this.patterns.newestVersions(clubId),
    ]);
    const ladders = await this.ladders.of(
      clubId,
      lines.flatMap(({ athlete, patternId }) => {
        const version = newest.get(patternId);
        return version === undefined ? [] : [{ athleteId: athlete.id, patternId, version }];
      }),
    );
    return lines.flatMap((line): StandingReply[] => {
      const standing = standings.get(line.athlete.id);
      const ladder = ladders.get(line.athlete.id);
      return standing && ladder
        ? [{ ...line, standing, held: ladder.held, decision: decisionHead(ladder.decision) }]
        : [];
    });
  }
}
