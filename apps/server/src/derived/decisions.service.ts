import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { Pattern, Rung } from '@orthokin/core/pattern';
import {
  decide,
  heldOnRung,
  USUAL_LADDER,
  withOwnLimits,
  type Decision,
  type Evidence,
  type HeldOnRung,
  type JudgedSet,
  type LadderPlace,
} from '@orthokin/core/progress';
import { inTurn } from '../platform/database/in-turn.js';
import { conflict } from '../platform/http/refusals.js';
import { piecemeal } from '../platform/work/piecemeal.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import type { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { PatternsService, reachedRung, versionKey } from '../domains/patterns/patterns.service.js';
import { Deciding, type Assessment } from '../domains/progress/deciding.js';
import { LaddersService } from '../domains/progress/ladders.service.js';
import { PlacesService, type Climb, type PlaceMove } from '../domains/progress/places.service.js';
import { EvidenceService, type DatedSet, type EvidenceSearch } from './evidence.service.js';
import { FiguresService } from './figures.service.js';
import type { SetFiguresRow } from './set-figures.entity.js';

/** An athlete's place on a ladder and the decision on it. */
export interface ClimbStanding {
  /** With the athlete's own limits. */
  readonly pattern: Pattern;
  readonly rung: number;
  readonly decision: Decision;
  readonly evidence: readonly DatedSet[];
  readonly held: HeldOnRung | null;
}

/**
 * Judges sets, and decides what the evidence says about athletes on their rungs. The number of queries does not
 * depend on the number of athletes.
 */
@Injectable()
export class DecisionsService extends Deciding {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly figures: FiguresService,
    private readonly evidence: EvidenceService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
  ) {
    super();
  }

  async assess(set: DrillSet): Promise<Assessment> {
    const [assessment] = await this.assessAll(set.clubId, [set]);
    if (!assessment)
      throw conflict('setId', set.id, 'a set that can be read; this one can be taken out');
    return assessment;
  }

  /**
   * Judges sets, with the decision of their ladder's rule after each. A set that was not run as its rung asks is
   * judged, but is not evidence. `null` for a set that cannot be read.
   */
  async assessAll(
    clubId: string,
    asked: readonly DrillSet[],
  ): Promise<readonly (Assessment | null)[]> {
    const figures = await this.figures.of(
      clubId,
      asked.map(({ id }) => id),
    );
    const sets = asked.filter(({ id }) => figures.has(id));
    const assessed = await this.assessed(clubId, sets, figures);
    const of = new Map(sets.map(({ id }, i) => [id, assessed[i]]));
    return asked.map(({ id }) => of.get(id) ?? null);
  }

  /** The same, for sets that can be read. */
  private async assessed(
    clubId: string,
    sets: readonly DrillSet[],
    figures: ReadonlyMap<string, SetFiguresRow>,
  ): Promise<Assessment[]> {
    if (sets.length === 0) return [];
    const athleteIds = sets.map(({ athleteId }) => athleteId);
    const turn = inTurn(this.em);
    const [settings, places, versions] = await Promise.all([
      turn(() => this.ladders.allSettings(clubId)),
      turn(() => this.places.places(clubId, athleteIds)),
      turn(() => this.patterns.versions(clubId, sets.map(versionOf))),
    ]);
    const searches = sets.map((set): EvidenceSearch => {
      const { athleteId, patternId, startedAt } = set;
      const pattern = known(versions.get(versionKey(versionOf(set))), set.id).body;
      // Judged by the rung's full demands: a set that was made easier is no evidence for it.
      const rung = rungAsRun(pattern, { ...set, conditions: {} });
      const place = places.of({ athleteId, patternId }, startedAt);
      const asked = { rung, pattern };
      return {
        ...{ athleteId, patternId, asked, until: startedAt },
        after: usedUpTo(place, rung.number),
      };
    });
    const evidence = await this.evidence.of(clubId, searches);
    return piecemeal(sets, (set, i) => {
      const { judgement } = known(figures.get(set.id), set.id);
      const { rung, pattern } = known(searches[i], set.id).asked;
      const grounds = about(evidence[i] ?? [], rung, pattern);
      const { rule } = settings.get(set.patternId) ?? USUAL_LADDER;
      return { judgement, decision: decide(grounds, rule), evidence: grounds };
    });
  }

  /**
   * The current place and decision of athletes on patterns that have rungs; `newest` holds each pattern's newest
   * version.
   */
  async standings(
    clubId: string,
    climbs: readonly (Climb & { readonly newest: PatternVersion })[],
  ): Promise<ClimbStanding[]> {
    if (climbs.length === 0) return [];
    const athleteIds = climbs.map(({ athleteId }) => athleteId);
    const turn = inTurn(this.em);
    const [settings, own, places] = await Promise.all([
      turn(() => this.ladders.allSettings(clubId)),
      turn(() => this.ladders.allOwnLimits(clubId, athleteIds)),
      turn(() => this.places.places(clubId, athleteIds)),
    ]);
    const searches = climbs.map(({ athleteId, patternId, newest }): EvidenceSearch => {
      const limits = own.get(`${athleteId} ${patternId}`) ?? [];
      const pattern = { ...newest.body, rungs: withOwnLimits(newest.body.rungs, limits) };
      const place = places.of({ athleteId, patternId });
      const rung = reachedRung(pattern, place.rung);
      return {
        ...{ athleteId, patternId, asked: { rung, pattern }, until: null },
        after: usedUpTo(place, rung.number),
      };
    });
    const evidence = await this.evidence.of(clubId, searches);
    return piecemeal(searches, ({ patternId, asked: { rung, pattern } }, i) => {
      const sets = evidence[i] ?? [];
      const { rule } = settings.get(patternId) ?? USUAL_LADDER;
      return {
        ...{ pattern, rung: rung.number, evidence: sets },
        decision: decide(about(sets, rung, pattern), rule),
        held: heldOnRung(sets, rung.passShare),
      };
    });
  }
}

const versionOf = ({ patternId, patternVersion }: DrillSet) => ({
  patternId,
  version: patternVersion,
});

/** Unwraps a row that a foreign key guarantees to exist. */
function known<T>(found: T | undefined, setId: string): T {
  if (found === undefined) throw new Error(`What set ${setId} rests on is not there.`);
  return found;
}

/**
 * Sets up to this moment were used up by the move to the rung and are no longer evidence; `null` if no move led
 * there.
 */
const usedUpTo = ({ by }: LadderPlace<PlaceMove>, rung: number): Date | null =>
  by?.toRung === rung ? by.usedUpTo : null;

const about = (sets: readonly JudgedSet[], rung: Rung, pattern: Pattern): Evidence => ({
  ...{ sets, rung, hasRungBelow: rung.number > 1 },
  next: pattern.rungs.find(({ number }) => number === rung.number + 1) ?? null,
});
