import { Migrator } from '@mikro-orm/migrations';
import { defineConfig, type Options } from '@mikro-orm/postgresql';
import { Athlete } from '../athletes/athlete.entity.js';
import { Club } from '../clubs/club.entity.js';
import { AthleteStanding } from '../drills/athlete-standing.entity.js';
import { DrillSet } from '../drills/drill-set.entity.js';
import { LadderStanding } from '../drills/ladder-standing.entity.js';
import { RepRow } from '../drills/rep.entity.js';
import { SetFiguresRow } from '../drills/set-figures.entity.js';
import { PatternRow } from '../patterns/pattern.entity.js';
import { PatternVersion } from '../patterns/pattern-version.entity.js';
import { SetNote } from '../course/set-note.entity.js';
import { Ladder } from '../progress/ladder.entity.js';
import { OwnLadder } from '../progress/own-ladder.entity.js';
import { RungMove } from '../progress/rung-move.entity.js';
import { MIGRATIONS } from './migrations/index.js';

/** How the ORM meets the database at an address. */
export const ormOptions = (clientUrl: string): Options =>
  defineConfig({
    clientUrl,
    entities: [
      ...[Club, Athlete, AthleteStanding, PatternRow, PatternVersion],
      ...[DrillSet, RepRow, SetFiguresRow, SetNote],
      ...[Ladder, OwnLadder, LadderStanding, RungMove],
    ],
    extensions: [Migrator],
    migrations: {
      migrationsList: MIGRATIONS,
      tableName: 'migration',
      snapshot: false,
      silent: true,
    },
    forceUtcTimezone: true,
    connect: true,
  });
