import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { readSet } from '@orthokin/core/drill';
import { judgeSet, readStaircase } from '@orthokin/core/progress';
import { setFigures } from '@orthokin/core/stats';
import { PatternsService } from '../domains/patterns/patterns.service.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { RepRow } from '../domains/drills/rep.entity.js';
import { SetFiguresRow } from './set-figures.entity.js';

/** Works out what follows from sets' reps, once, and keeps it. */
@Injectable()
export class FiguresService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
  ) {}

  /** The figures of sets of one club, by set id. */
  async of(clubId: string, setIds: readonly string[]): Promise<ReadonlyMap<string, SetFiguresRow>> {
    const kept = await this.em.find(
      SetFiguresRow,
      { clubId, id: { $in: [...setIds] } },
      { disableIdentityMap: true },
    );
    const found = new Map(kept.map((row) => [row.id, row]));
    const missing = setIds.filter((id) => !found.has(id));
    for (const row of await this.workOut(clubId, missing)) found.set(row.id, row);
    return found;
  }

  private async workOut(clubId: string, setIds: readonly string[]): Promise<SetFiguresRow[]> {
    if (setIds.length === 0) return [];
    const ids = { $in: [...setIds] };
    return this.em.transactional(async (em) => {
      // Whoever adds a rep holds the set as well: what is kept is never older than its reps.
      const sets = await em.find(
        DrillSet,
        { clubId, id: ids },
        { lockMode: LockMode.PESSIMISTIC_WRITE, orderBy: { id: 'asc' } },
      );
      const reps = await em.find(RepRow, { clubId, setId: ids }, { orderBy: { id: 'asc' } });
      const repsOf = new Map<string, RepRow[]>(sets.map(({ id }) => [id, []]));
      for (const rep of reps) repsOf.get(rep.setId)?.push(rep);
      const rows: SetFiguresRow[] = [];
      for (const set of sets) {
        const { body: pattern } = await this.patterns.version(
          clubId,
          set.patternId,
          set.patternVersion,
        );
        const readings = readSet(set, repsOf.get(set.id) ?? [], pattern);
        rows.push({
          clubId,
          id: set.id,
          figures: setFigures(readings, pattern.targets, set.conditions.watched),
          judgement: judgeSet(readings, rungAsRun(pattern, set), set.conditions.watched),
          staircase: readStaircase(readings, set.conditions.pace),
        });
      }
      if (rows.length > 0) await em.upsertMany(SetFiguresRow, rows);
      return rows;
    });
  }
}
