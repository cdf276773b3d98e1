import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { ladderPlace, type LadderPlace } from '@orthokin/core/progress';
import type { RungMove } from './rung-move.entity.js';

/** A move without the evidence it keeps, which is large. */
export type Move = Omit<RungMove, 'clubId' | 'evidence'>;

interface MoveRow {
  readonly id: string;
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly from_rung: number;
  readonly to_rung: number;
  readonly basis: RungMove['basis'];
  readonly set_id: string | null;
  readonly reason: string | null;
  readonly decision: RungMove['decision'];
  readonly moved_at: string;
  readonly moved_by: string | null;
  readonly on_device: boolean;
}

/** A move as far as places need it: without the evidence that came with it. */
export interface PlaceMove extends Pick<RungMove, 'toRung' | 'basis' | 'movedAt'> {
  readonly athleteId: string;
  readonly patternId: string;
  /**
   * The moment up to which the sets on a rung were used up by it. Where the move names a set it is
   * that set's: the clocks of two devices may differ. Else when the device said it was made, or when
   * it came here if that was sooner.
   */
  readonly usedUpTo: Date;
}

interface PlaceRow {
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly to_rung: number;
  readonly basis: RungMove['basis'];
  readonly moved_at: string;
  readonly used_up_to: string;
}

/** Where one athlete stands on one ladder. */
export interface Climb {
  readonly athleteId: string;
  readonly patternId: string;
}

const keyOf = ({ athleteId, patternId }: Climb): string => `${athleteId} ${patternId}`;

/** The moves of some athletes, and where they led. */
export class Places {
  private readonly moves = new Map<string, PlaceMove[]>();

  constructor(moves: readonly PlaceMove[]) {
    for (const move of moves) {
      const own = this.moves.get(keyOf(move));
      if (own) own.push(move);
      else this.moves.set(keyOf(move), [move]);
    }
  }

  /** `until` looks back to an earlier moment. */
  of(climb: Climb, until?: Date): LadderPlace<PlaceMove> {
    const moves = this.moves.get(keyOf(climb)) ?? [];
    return ladderPlace(until ? moves.filter(({ movedAt }) => movedAt <= until) : moves);
  }
}

/** Where athletes stand on ladders, from their moves. */
@Injectable()
export class PlacesService {
  constructor(private readonly em: EntityManager) {}

  /** Where an athlete stands on a pattern's ladder, with the move that led there. */
  async place(clubId: string, athleteId: string, patternId: string): Promise<LadderPlace<Move>> {
    return ladderPlace(await this.movesOn(clubId, athleteId, patternId));
  }

  /** Every move of an athlete on a pattern's ladder, oldest first. */
  movesOn(clubId: string, athleteId: string, patternId: string): Promise<Move[]> {
    return this.read('club_id = ? and athlete_id = ? and pattern_id = ?', [
      ...[clubId, athleteId, patternId],
    ]);
  }

  /** Every move of an athlete, oldest first. */
  moves(clubId: string, athleteId: string): Promise<Move[]> {
    return this.read('club_id = ? and athlete_id = ?', [clubId, athleteId]);
  }

  private async read(where: string, values: readonly string[]): Promise<Move[]> {
    const rows = await this.em.execute<MoveRow[]>(
      `select id, athlete_id, pattern_id, from_rung, to_rung, basis, set_id, reason, decision, moved_at,
         moved_by, on_device
       from rung_move where ${where} order by seq`,
      [...values],
    );
    return rows.map((row) => ({
      ...{ id: row.id, athleteId: row.athlete_id, patternId: row.pattern_id },
      ...{ fromRung: row.from_rung, toRung: row.to_rung, basis: row.basis, setId: row.set_id },
      ...{ reason: row.reason, decision: row.decision },
      ...{ movedAt: new Date(row.moved_at), movedBy: row.moved_by },
      onDevice: row.on_device,
    }));
  }

  /** Where some athletes of a club stand on every ladder. */
  async places(clubId: string, athleteIds: readonly string[]): Promise<Places> {
    const rows = await this.em.execute<PlaceRow[]>(
      `select m.athlete_id, m.pattern_id, m.to_rung, m.basis, m.moved_at,
         coalesce(s.started_at, least(m.moved_at, m.received_at)) as used_up_to
       from rung_move m left join drill_set s on s.club_id = m.club_id and s.id = m.set_id
       where m.club_id = ? and m.athlete_id = any (?::uuid[]) order by m.seq`,
      [clubId, `{${athleteIds.join(',')}}`],
    );
    return new Places(
      rows.map((row) => ({
        ...{ athleteId: row.athlete_id, patternId: row.pattern_id },
        ...{ toRung: row.to_rung, basis: row.basis },
        ...{ movedAt: new Date(row.moved_at), usedUpTo: new Date(row.used_up_to) },
      })),
    );
  }
}
