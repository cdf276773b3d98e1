import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { ladderPlace, type LadderPlace } from '@orthokin/core/progress';
import { RungMove } from './rung-move.entity.js';

/** Moves made in one instant (an undo at once) keep the order of their ids, which hold time. */
const IN_ORDER = [{ movedAt: 'asc' }, { id: 'asc' }] as const;

/** Where athletes stand on ladders, from their moves. */
@Injectable()
export class PlacesService {
  constructor(private readonly em: EntityManager) {}

  /** Where an athlete stands on a pattern's ladder; `until` looks back to an earlier moment. */
  async place(
    clubId: string,
    athleteId: string,
    patternId: string,
    until?: Date,
  ): Promise<LadderPlace<RungMove>> {
    return ladderPlace(await this.movesOn(clubId, athleteId, patternId, until));
  }

  /** Every move of an athlete on a pattern's ladder, oldest first. */
  movesOn(clubId: string, athleteId: string, patternId: string, until?: Date): Promise<RungMove[]> {
    return this.em.find(
      RungMove,
      { clubId, athleteId, patternId, ...(until && { movedAt: { $lte: until } }) },
      { orderBy: [...IN_ORDER] },
    );
  }

  /** Every move of an athlete, oldest first. */
  moves(clubId: string, athleteId: string): Promise<RungMove[]> {
    return this.em.find(RungMove, { clubId, athleteId }, { orderBy: [...IN_ORDER] });
  }

  /** Where everyone of a club stands on every ladder, by "athlete pattern". */
  async places(clubId: string): Promise<ReadonlyMap<string, LadderPlace<PlaceMove>>> {
    const moves = await this.em.execute<PlaceRow[]>(
      `select athlete_id, pattern_id, to_rung, basis, moved_at
       from rung_move where club_id = ? order by moved_at, id`,
      [clubId],
    );
    const own = new Map<string, PlaceMove[]>();
    for (const { athlete_id, pattern_id, to_rung, basis, moved_at } of moves) {
      const key = `${athlete_id} ${pattern_id}`;
      const move = { toRung: to_rung, basis, movedAt: new Date(moved_at) };
      const before = own.get(key);
      if (before) before.push(move);
      else own.set(key, [move]);
    }
    return new Map([...own].map(([key, each]) => [key, ladderPlace(each)]));
  }
}

/** A move as far as places need it: without the evidence that came with it. */
export type PlaceMove = Pick<RungMove, 'toRung' | 'basis' | 'movedAt'>;

interface PlaceRow {
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly to_rung: number;
  readonly basis: RungMove['basis'];
  readonly moved_at: Date;
}
