import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { Changes, type Change } from '../domains/changes.js';
import { AthleteStanding } from './athlete-standing.entity.js';
import { LadderStanding } from './ladder-standing.entity.js';
import { SetFiguresRow } from './set-figures.entity.js';
import { SquadLineRow } from './squad-line.entity.js';

/**
 * Takes away what was worked out from something that has changed since, in the transaction that
 * changes it. Nobody else deletes these rows.
 */
@Injectable()
export class TakingAway implements OnModuleInit {
  constructor(private readonly changes: Changes) {}

  onModuleInit(): void {
    this.changes.onChange((em, change) => takeAway(em, change));
  }
}

async function takeAway(em: EntityManager, change: Change): Promise<void> {
  const { clubId } = change;
  switch (change.of) {
    case 'reps':
    case 'sets': {
      const { athleteId } = change;
      if (change.of === 'reps') await em.nativeDelete(SetFiguresRow, { clubId, id: change.setId });
      await em.nativeDelete(AthleteStanding, { clubId, id: athleteId });
      await em.nativeDelete(LadderStanding, { clubId, athleteId });
      await em.nativeDelete(SquadLineRow, { clubId, id: athleteId });
      return;
    }
    case 'moves':
    case 'own limits': {
      const { athleteId, patternId } = change;
      await em.nativeDelete(LadderStanding, { clubId, athleteId, patternId });
      await em.nativeDelete(SquadLineRow, { clubId, id: athleteId });
      return;
    }
    case 'ladder':
    case 'pattern': {
      const { patternId } = change;
      // Whoever works a standing out holds its athlete: so none is kept that missed this change.
      await em.find(
        Athlete,
        { clubId },
        { lockMode: LockMode.PESSIMISTIC_WRITE, orderBy: { id: 'asc' }, fields: ['id'] },
      );
      await em.nativeDelete(LadderStanding, { clubId, patternId });
      await em.nativeDelete(SquadLineRow, { clubId, patternId });
    }
  }
}
