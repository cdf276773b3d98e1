import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { RungMoveBody, RungMoveReply } from '@orthokin/contract';
import { senseOf } from '@orthokin/core/drill';
import {
  decideByCount,
  DEFAULT_COUNT_RULE,
  ladderPlace,
  type Decision,
  type LadderPlace,
  type SetJudgement,
} from '@orthokin/core/progress';
import { Athlete } from '../athletes/athlete.entity.js';
import { insertOnce } from '../storage/insert-once.js';
import { DrillSet } from '../drills/drill-set.entity.js';
import { DrillsService } from '../drills/drills.service.js';
import { FiguresService } from '../drills/figures.service.js';
import { conflict } from '../http/refusals.js';
import type { PatternVersion } from '../patterns/pattern-version.entity.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { RungMove } from './rung-move.entity.js';

/** Older sets than this many on a rung cannot matter to a count rule. */
const EVIDENCE_SETS = 20;

export interface Assessment {
  readonly judgement: SetJudgement;
  readonly decision: Decision;
}

@Injectable()
export class ProgressService {
  constructor(
    private readonly em: EntityManager,
    private readonly drills: DrillsService,
    private readonly patterns: PatternsService,
    private readonly figures: FiguresService,
  ) {}

  /** Where an athlete stands on a pattern's ladder; `until` looks back to an earlier moment. */
  async place(
    clubId: string,
    athleteId: string,
    patternId: string,
    until?: Date,
  ): Promise<LadderPlace<RungMove>> {
    const moves = await this.em.find(
      RungMove,
      { clubId, athleteId, patternId, ...(until && { movedAt: { $lte: until } }) },
      // Moves made in one instant (an undo at once) keep the order of their ids, which hold time.
      { orderBy: [{ movedAt: 'asc' }, { id: 'asc' }] },
    );
    return ladderPlace(moves);
  }

  /** Every move of an athlete, oldest first. */
  moves(clubId: string, athleteId: string): Promise<RungMove[]> {
    return this.em.find(
      RungMove,
      { clubId, athleteId },
      { orderBy: [{ movedAt: 'asc' }, { id: 'asc' }] },
    );
  }

  /** Where everyone of a club stands on every ladder, by "athlete pattern". */
  async places(clubId: string): Promise<ReadonlyMap<string, LadderPlace<RungMove>>> {
    const moves = await this.em.find(
      RungMove,
      { clubId },
      { orderBy: [{ movedAt: 'asc' }, { id: 'asc' }], disableIdentityMap: true },
    );
    const own = new Map<string, RungMove[]>();
    for (const move of moves) {
      const key = `${move.athleteId} ${move.patternId}`;
      own.set(key, [...(own.get(key) ?? []), move]);
    }
    return new Map([...own].map(([key, each]) => [key, ladderPlace(each)]));
  }

  /**
   * A set judged, and what its rung's rule says with it as the newest evidence: the sets the
   * athlete ran since coming to the rung, of the same version, timed by the same source and cued
   * to the same sense. None of these is ever pooled.
   */
  async assess(set: DrillSet, { body: pattern }: PatternVersion): Promise<Assessment> {
    const { clubId, athleteId, patternId, patternVersion, rung, source, startedAt } = set;
    const { by } = await this.place(clubId, athleteId, patternId, startedAt);
    const since = by?.toRung === rung ? by.movedAt : new Date(0);
    const sets = await this.em.find(
      DrillSet,
      {
        ...{ clubId, athleteId, patternId, patternVersion, rung, source },
        startedAt: { $gte: since, $lte: startedAt },
      },
      { orderBy: { startedAt: 'desc' }, limit: EVIDENCE_SETS },
    );
    const sense = senseOf(set.conditions);
    const alike = sets.filter(({ conditions }) => senseOf(conditions) === sense);
    const figures = await this.figures.of(
      clubId,
      alike.map(({ id }) => id),
    );
    const judged = alike
      .flatMap(({ id, day }) => {
        const judgement = figures.get(id)?.judgement;
        return judgement ? [{ setId: id, day, judgement }] : [];
      })
      .reverse();
    const newest = judged.find(({ setId }) => setId === set.id);
    if (!newest) throw new Error(`Set ${set.id} is not among its own evidence.`);
    return {
      judgement: newest.judgement,
      decision: decideByCount(judged, DEFAULT_COUNT_RULE, rung < pattern.rungs.length),
    };
  }

  /** Applies a decision to the athlete's rung, or takes the newest move back. */
  async move(clubId: string, id: string, body: RungMoveBody): Promise<RungMoveReply> {
    const movedAt = new Date(body.movedAt);
    await this.em.transactional(async (em) => {
      // One move of an athlete at a time: two screens must not both move them up.
      await em.findOne(
        Athlete,
        { clubId, id: body.athleteId },
        { lockMode: LockMode.PESSIMISTIC_WRITE },
      );
      const known = await em.findOne(RungMove, { clubId, id });
      if (!known) await this.checkMove(clubId, body);
      await insertOnce(em, RungMove, { clubId, id, ...body, movedAt });
    });
    return { ...body, id, movedAt: movedAt.toISOString() };
  }

  private async checkMove(clubId: string, body: RungMoveBody): Promise<void> {
    const set = await this.drills.set(clubId, body.setId);
    if (set.athleteId !== body.athleteId || set.patternId !== body.patternId)
      throw conflict('setId', body.setId, 'a set of this athlete on this pattern');
    const { rung, by } = await this.place(clubId, body.athleteId, body.patternId);
    if (rung !== body.fromRung)
      throw conflict('fromRung', String(body.fromRung), `${rung}, where the athlete stands now`);
    if (body.basis === 'undo') this.checkUndo(body, by);
    else await this.checkRule(clubId, body, set);
  }

  private async checkRule(clubId: string, body: RungMoveBody, set: DrillSet): Promise<void> {
    const rung = body.fromRung;
    if (body.toRung !== rung + 1)
      throw conflict('toRung', String(body.toRung), `${rung + 1}: one rung at a time`);
    if (set.rung !== rung)
      throw conflict(
        'setId',
        body.setId,
        `a set on rung ${rung}; this one was on rung ${set.rung}`,
      );
    const { decision } = await this.assess(
      set,
      await this.patterns.version(clubId, set.patternId, set.patternVersion),
    );
    if (decision.answer !== 'move up')
      throw conflict(
        'basis',
        body.basis,
        `a set after which the rule says move up, not ${decision.answer}`,
      );
  }

  private checkUndo({ toRung, setId }: RungMoveBody, newest: RungMove | null): void {
    if (newest?.setId !== setId)
      throw conflict('setId', setId, 'the set of the newest move: only that can be taken back');
    if (newest.fromRung !== toRung)
      throw conflict('toRung', String(toRung), `${newest.fromRung}, where the move started`);
  }
}

export const moveReply = (move: RungMove): RungMoveReply => ({
  id: move.id,
  athleteId: move.athleteId,
  patternId: move.patternId,
  fromRung: move.fromRung,
  toRung: move.toRung,
  basis: move.basis,
  setId: move.setId,
  movedAt: move.movedAt.toISOString(),
});
