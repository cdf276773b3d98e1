import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { senseOf } from '@orthokin/core/drill';
import type { Pattern, Rung } from '@orthokin/core/pattern';
import {
  asksTheSame,
  decide,
  isCuedAsAsked,
  withOwnLimits,
  type Asked,
  type Decision,
  type Evidence,
  type JudgedSet,
  type SetJudgement,
} from '@orthokin/core/progress';
import { rungAsRun } from '../drills/as-run.js';
import { DrillSet } from '../drills/drill-set.entity.js';
import { FiguresService } from '../drills/figures.service.js';
import { conflict } from '../http/refusals.js';
import type { PatternVersion } from '../patterns/pattern-version.entity.js';
import { PatternsService, reachedRung } from '../patterns/patterns.service.js';
import { LaddersService } from './ladders.service.js';
import { PlacesService } from './places.service.js';
import type { RungMove } from './rung-move.entity.js';

/** Older sets than this many on a rung are no evidence of how it is now. */
const EVIDENCE_SETS = 40;

export interface Assessment {
  readonly judgement: SetJudgement;
  readonly decision: Decision;
  readonly evidence: Evidence;
}

/** A set as evidence, and when it was run. */
export type DatedSet = JudgedSet & { readonly startedAt: Date };

/** An athlete on the ladder as it is now. */
export interface Standing {
  /** As it is asked of this athlete. */
  readonly pattern: Pattern;
  readonly rung: number;
  readonly decision: Decision;
  readonly evidence: readonly DatedSet[];
}

interface Climb {
  readonly clubId: string;
  readonly athleteId: string;
  readonly patternId: string;
}

/** What the evidence says of athletes on their rungs. */
@Injectable()
export class DecisionsService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly figures: FiguresService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
  ) {}

  /**
   * A set judged, and what its ladder's rule says after it. A set that was not run as its rung asks
   * is judged all the same, and is not among the evidence.
   */
  async assess(set: DrillSet, { body: pattern }: PatternVersion): Promise<Assessment> {
    const { clubId, athleteId, patternId, startedAt } = set;
    // One after another: a transaction has one connection.
    const { rule } = await this.ladders.settings(clubId, patternId);
    const { by } = await this.places.place(clubId, athleteId, patternId, startedAt);
    const rung = rungAsRun(pattern, set);
    const after = await this.usedUpTo(by, rung.number);
    const sets = await this.evidence(set, { rung, pattern }, { after, until: startedAt });
    const own = (await this.figures.of(clubId, [set.id])).get(set.id);
    if (!own) throw new Error(`Set ${set.id} has no figures.`);
    const evidence = about(sets, rung, pattern);
    return { judgement: own.judgement, decision: decide(evidence, rule), evidence };
  }

  /** Where an athlete stands on a ladder now, and what comes next. */
  async standing(climb: Climb, newest: PatternVersion): Promise<Standing> {
    const { clubId, athleteId, patternId } = climb;
    if (newest.body.rungs.length === 0)
      throw conflict('patternId', patternId, 'a pattern with targets, and so with rungs');
    const { rule } = await this.ladders.settings(clubId, patternId);
    const own = await this.ladders.ownLimits(clubId, athleteId, patternId);
    const { rung: reached, by } = await this.places.place(clubId, athleteId, patternId);
    const pattern = { ...newest.body, rungs: withOwnLimits(newest.body.rungs, own) };
    const rung = reachedRung(pattern, reached);
    const after = await this.usedUpTo(by, rung.number);
    const evidence = await this.evidence(climb, { rung, pattern }, { after });
    return {
      ...{ pattern, rung: rung.number, evidence },
      decision: decide(about(evidence, rung, pattern), rule),
    };
  }

  /**
   * The moment up to which sets on a rung are used up by the move that led there; `null` when none
   * did. Where the move names a set it is that set's: the clocks of two devices may differ.
   */
  private async usedUpTo(by: RungMove | null, rung: number): Promise<Date | null> {
    if (by?.toRung !== rung) return null;
    const { clubId, setId, movedAt } = by;
    const set = setId === null ? null : await this.em.findOne(DrillSet, { clubId, id: setId });
    return set?.startedAt ?? movedAt;
  }

  /**
   * The sets an athlete ran on a rung, oldest first, that asked what is asked, timed by the same
   * source and cued to the same sense as the newest. None of these is ever pooled.
   */
  private async evidence(
    { clubId, athleteId, patternId }: Climb,
    asked: Asked,
    { after, until }: { readonly after: Date | null; readonly until?: Date },
  ): Promise<DatedSet[]> {
    const sets = await this.em.find(
      DrillSet,
      {
        ...{ clubId, athleteId, patternId, rung: asked.rung.number },
        // Cues that nobody timed show nothing, and must not part what was timed before and after.
        source: { $ne: 'none' },
        startedAt: { $gt: after ?? new Date(0), ...(until && { $lte: until }) },
      },
      { orderBy: { startedAt: 'desc' }, limit: EVIDENCE_SETS, disableIdentityMap: true },
    );
    const versions = new Map<number, PatternVersion>();
    for (const { patternVersion: version } of sets)
      if (!versions.has(version))
        versions.set(version, await this.patterns.version(clubId, patternId, version));
    const asks = (set: DrillSet) => {
      const pattern = versions.get(set.patternVersion)?.body;
      return (
        pattern !== undefined &&
        isCuedAsAsked(set.conditions.order, asked.rung) &&
        asksTheSame(asked, { rung: rungAsRun(pattern, set), pattern })
      );
    };
    const same = sets.filter(asks);
    const [newest] = same;
    const alike = same.filter(
      ({ source, conditions }) =>
        source === newest?.source && senseOf(conditions) === senseOf(newest.conditions),
    );
    const figures = await this.figures.of(
      clubId,
      alike.map(({ id }) => id),
    );
    return alike
      .flatMap(({ id, day, startedAt }) => {
        const of = figures.get(id);
        if (!of) return [];
        const { judgement, staircase } = of;
        return [{ setId: id, day, startedAt, judgement, ...(staircase && { staircase }) }];
      })
      .reverse();
  }
}

const about = (sets: readonly JudgedSet[], rung: Rung, pattern: Pattern): Evidence => ({
  ...{ sets, rung, hasRungBelow: rung.number > 1 },
  next: pattern.rungs.find(({ number }) => number === rung.number + 1) ?? null,
});
