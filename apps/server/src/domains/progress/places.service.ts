import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { ladderPlace, type LadderPlace } from '@orthokin/core/progress';
import { RungMove } from './rung-move.entity.js';

/** Moves made in one instant (an undo at once) keep the order of their ids, which hold time. */
const IN_ORDER = [{ movedAt: 'asc' }, { id: 'asc' }] as const;

/** A move as far as places need it: without the evidence that came with it. */
export interface PlaceMove extends Pick<RungMove, 'toRung' | 'basis' | 'movedAt'> {
  readonly athleteId: string;
  readonly patternId: string;
  /**
   * The moment up to which the sets on a rung were used up by it. Where the move names a set it is
   * that set's: the clocks of two devices may differ.
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

  /** Where an athlete stands on a pattern's ladder, with the whole move that led there. */
  async place(
    clubId: string,
    athleteId: string,
    patternId: string,
  ): Promise<LadderPlace<RungMove>> {
    return ladderPlace(await this.movesOn(clubId, athleteId, patternId));
  }

  /** Every move of an athlete on a pattern's ladder, oldest first. */
  movesOn(clubId: string, athleteId: string, patternId: string): Promise<RungMove[]> {
    return this.em.find(
      RungMove,
      { clubId, athleteId, patternId },
      { orderBy: [...IN_ORDER], exclude: ['evidence'] },
    ) as Promise<RungMove[]>;
  }

  /** Every move of an athlete, oldest first. */
  moves(clubId: string, athleteId: string): Promise<RungMove[]> {
    return this.em.find(
      RungMove,
      { clubId, athleteId },
      { orderBy: [...IN_ORDER], exclude: ['evidence'] },
    ) as Promise<RungMove[]>;
  }

  /** Where some athletes of a club stand on every ladder. */
  async places(clubId: string, athleteIds: readonly string[]): Promise<Places> {
    const rows = await this.em.execute<PlaceRow[]>(
      `select m.athlete_id, m.pattern_id, m.to_rung, m.basis, m.moved_at,
         coalesce(s.started_at, m.moved_at) as used_up_to
       from rung_move m left join drill_set s on s.club_id = m.club_id and s.id = m.set_id
       where m.club_id = ? and m.athlete_id = any (?::uuid[]) order by m.moved_at, m.id`,
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
