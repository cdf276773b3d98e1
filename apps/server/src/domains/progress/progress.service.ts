import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { MoveEvidenceReply, RungMoveBody, RungMoveReply } from '@orthokin/contract';
import { refuseAhead } from '../ahead.js';
import { Athlete } from '../athletes/athlete.entity.js';
import type { DrillSet } from '../drills/drill-set.entity.js';
import { DrillsService } from '../drills/drills.service.js';
import { accountNow } from '../../platform/auth/caller.js';
import { stepOf, type MoveBasis } from '@orthokin/core/progress';
import { conflict, unknown } from '../../platform/http/refusals.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { Changes } from '../changes.js';
import { Deciding, type Assessment } from './deciding.js';
import { LaddersService } from './ladders.service.js';
import { PlacesService, type Move } from './places.service.js';
import { RungMove } from './rung-move.entity.js';

/** What a move is based on; empty for moves by hand and undone moves. */
type Grounds = Pick<RungMove, 'basis' | 'decision' | 'evidence'>;
const noGrounds = (basis: MoveBasis): Grounds => ({ basis, decision: null, evidence: null });

/** Moves athletes on ladders, following the rule's decision or the coach's. */
@Injectable()
export class ProgressService {
  constructor(
    private readonly em: EntityManager,
    private readonly drills: DrillsService,
    private readonly patterns: PatternsService,
    private readonly deciding: Deciding,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
    private readonly changes: Changes,
  ) {}

  /** Follows or overrules a decision, moves by hand, or undoes the newest move. */
  async move(clubId: string, id: string, body: RungMoveBody): Promise<RungMoveReply> {
    refuseAhead('movedAt', body.movedAt);
    const row = {
      clubId,
      id,
      ...body,
      reason: body.reason ?? null,
      onDevice: body.onDevice ?? false,
      movedAt: new Date(body.movedAt),
    };
    return this.em.transactional(async (em) => {
      // Locks the athlete: two screens must not both move them up.
      await em.findOne(
        Athlete,
        { clubId, id: body.athleteId },
        { lockMode: LockMode.PESSIMISTIC_WRITE },
      );
      const known = await em.findOne(RungMove, { clubId, id });
      // A repeated request keeps its first result, whatever the evidence says by now.
      const { basis, decision, evidence } = known ?? (await this.checked(clubId, body));
      const movedBy = known ? known.movedBy : accountNow();
      await insertOnce(em, RungMove, { ...row, basis, movedBy, decision, evidence });
      const { athleteId, patternId } = body;
      await this.changes.tell(em, { of: 'moves', clubId, athleteId, patternId });
      return moveReply({ ...row, basis, movedBy, decision });
    });
  }

  /** A move with its full evidence. */
  async withEvidence(clubId: string, id: string): Promise<MoveEvidenceReply> {
    const move = await this.em.findOne(RungMove, { clubId, id });
    if (!move) throw unknown('moveId', id, 'a move');
    return { ...moveReply(move), evidence: move.evidence };
  }

  /**
   * What a move follows or overrules.
   * @throws if the move is not possible
   */
  private async checked(clubId: string, body: RungMoveBody): Promise<Grounds> {
    const { athleteId, patternId, fromRung, toRung, basis } = body;
    const set = body.setId === null ? null : await this.drills.set(clubId, body.setId);
    if (set) checkSet(set, body);
    const { rung, by } = await this.places.place(clubId, athleteId, patternId);
    if (rung !== fromRung)
      throw conflict('fromRung', String(fromRung), `${rung}, where the athlete stands now`);
    if (basis === 'undo') {
      checkUndo(body, by);
      return noGrounds(basis);
    }
    if (toRung > fromRung && !body.reason) {
      const { onWord } = await this.ladders.settings(clubId, patternId);
      if (onWord)
        throw conflict('reason', 'nothing', 'on whose word: nobody moves up here without');
    }
    const { body: pattern } = await this.patterns.newest(clubId, patternId);
    if (toRung > pattern.rungs.length)
      throw conflict('toRung', String(toRung), `1 to ${pattern.rungs.length}`);
    if (basis === 'hand') {
      if (toRung === fromRung) throw conflict('toRung', String(toRung), 'another rung');
      return noGrounds(basis);
    }
    if (!set) throw conflict('setId', 'null', 'the set whose decision is followed or overruled');
    const { decision, evidence } = await this.decided(set, body);
    const { answer } = decision;
    const follows = toRung === fromRung + stepOf(answer);
    if (basis === 'rule' && !(follows && toRung !== fromRung)) {
      // It was made offline and sets may have been run on the new rung, so it stands as an overrule.
      if (body.onDevice) return { basis: 'overrule', decision, evidence };
      throw conflict('basis', basis, `a move that the rule says; it says ${answer}`);
    }
    if (basis === 'overrule' && follows)
      throw conflict('basis', basis, `rule: that is what it says`);
    return { basis, decision, evidence };
  }

  private async decided(set: DrillSet, { fromRung }: RungMoveBody): Promise<Assessment> {
    const { id, rung } = set;
    if (rung !== fromRung)
      throw conflict('setId', id, `a set on rung ${fromRung}; this one was on rung ${rung}`);
    return this.deciding.assess(set);
  }
}

function checkSet(set: DrillSet, { athleteId, patternId }: RungMoveBody): void {
  if (set.athleteId !== athleteId || set.patternId !== patternId)
    throw conflict('setId', set.id, 'a set of this athlete on this pattern');
}

function checkUndo({ toRung, setId }: RungMoveBody, newest: Move | null): void {
  if (!newest) throw conflict('basis', 'undo', 'rule, overrule or hand: there is no move to undo');
  if (newest.setId !== setId)
    throw conflict('setId', String(setId), 'that of the newest move: only it can be taken back');
  if (newest.fromRung !== toRung)
    throw conflict('toRung', String(toRung), `${newest.fromRung}, where the move started`);
}

export const moveReply = (move: Move): RungMoveReply => ({
  id: move.id,
  athleteId: move.athleteId,
  patternId: move.patternId,
  fromRung: move.fromRung,
  toRung: move.toRung,
  basis: move.basis,
  setId: move.setId,
  ...(move.reason !== null && { reason: move.reason }),
  ...(move.movedBy !== null && { movedBy: move.movedBy }),
  ...(move.onDevice && { onDevice: true }),
  movedAt: move.movedAt.toISOString(),
  decision: move.decision && { ...move.decision },
});
