import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { ladderPlace, type LadderPlace } from '@orthokin/core/progress';
import type { RungMove } from './rung-move.entity.js';

/** A move without its evidence, which is large. */
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

/** The part of a move that determines places. */
export interface PlaceMove extends Pick<RungMove, 'toRung' | 'basis'> {
  readonly athleteId: string;
  readonly patternId: string;
  /** The device's time, or that of its arrival here if the device's clock was ahead. */
  readonly movedAt: Date;
  /**
   * Sets up to this moment are used up by the move. If it names a set, that set's start counts, because two devices'
   * clocks may differ; otherwise the earlier of the device's time and its arrival here.
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

/** An athlete and the pattern whose ladder they are on. */
export interface Climb {
  readonly athleteId: string;
  readonly patternId: string;
}

const keyOf = ({ athleteId, patternId }: Climb): string => `${athleteId} ${patternId}`;

/** The moves of some athletes, for looking up where they stand. */
export class Places {
  private readonly moves = new Map<string, PlaceMove[]>();

  constructor(moves: readonly PlaceMove[]) {
    for (const move of moves) {
      const own = this.moves.get(keyOf(move));
      if (own) own.push(move);
      else this.moves.set(keyOf(move), [move]);
    }
  }

  /**
   * @param before the start of a set: ignores moves made later, and moves about this set or a later one, which came
   *   after it whatever their device's clock says
   */
  of(climb: Climb, before?: Date): LadderPlace<PlaceMove> {
    const moves = this.moves.get(keyOf(climb)) ?? [];
    return ladderPlace(
      before
        ? moves.filter(({ movedAt, usedUpTo }) => movedAt <= before && usedUpTo < before)
        : moves,
    );
  }
}

/** Places of athletes on ladders, derived from their moves. */
@Injectable()
export class PlacesService {
  constructor(private readonly em: EntityManager) {}

  /** An athlete's place on a pattern's ladder, with the move that led there. */
  async place(clubId: string, athleteId: string, patternId: string): Promise<LadderPlace<Move>> {
    return ladderPlace(await this.movesOn(clubId, athleteId, patternId));
  }

  /** An athlete's moves on a pattern's ladder, oldest first. */
  movesOn(clubId: string, athleteId: string, patternId: string): Promise<Move[]> {
    return this.read('club_id = ? and athlete_id = ? and pattern_id = ?', [
      clubId,
      athleteId,
      patternId,
    ]);
  }

  /** All moves of an athlete, oldest first. */
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

  /** The places of some athletes on all ladders. */
  async places(clubId: string, athleteIds: readonly string[]): Promise<Places> {
    const rows = await this.em.execute<PlaceRow[]>(
      `select m.athlete_id, m.pattern_id, m.to_rung, m.basis, least(m.moved_at, m.received_at) as moved_at,
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
