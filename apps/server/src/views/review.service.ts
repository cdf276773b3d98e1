import { Injectable } from '@nestjs/common';
import type { SetReviewReply } from '@orthokin/contract';
import { athleteReply, AthletesService } from '../domains/athletes/athletes.service.js';
import { patternAsRun } from '../domains/drills/as-run.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import { repReply, setReply } from '../domains/drills/replies.js';
import { PatternsService, versionReply } from '../domains/patterns/patterns.service.js';
import { DecisionsService } from '../derived/decisions.service.js';
import { PlacesService } from '../domains/progress/places.service.js';
import { moveReply } from '../domains/progress/progress.service.js';

@Injectable()
export class ReviewService {
  constructor(
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly drills: DrillsService,
    private readonly decisions: DecisionsService,
    private readonly places: PlacesService,
  ) {}

  async review(clubId: string, setId: string): Promise<SetReviewReply> {
    const set = await this.drills.set(clubId, setId);
    const [athlete, pattern, reps, { judgement, decision }, place] = await Promise.all([
      this.athletes.one(clubId, set.athleteId),
      this.patterns.version(clubId, set.patternId, set.patternVersion),
      this.drills.reps(clubId, [setId]),
      this.decisions.assess(set),
      this.places.place(clubId, set.athleteId, set.patternId),
    ]);
    return {
      set: setReply(set),
      athlete: athleteReply(athlete),
      pattern: versionReply({ ...pattern, body: patternAsRun(pattern.body, set) }),
      reps: reps.map(repReply),
      judgement,
      decision: { ...decision },
      currentRung: place.rung,
      moved: place.by?.setId === setId ? moveReply(place.by) : null,
    };
  }
}
