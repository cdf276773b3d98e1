import { AthleteStanding } from './derived/athlete-standing.entity.js';
import { LadderStanding } from './derived/ladder-standing.entity.js';
import { SetFiguresRow } from './derived/set-figures.entity.js';
import { SquadFormRow } from './derived/squad-form.entity.js';
import { SquadLineRow } from './derived/squad-line.entity.js';
import { Account } from './domains/accounts/account.entity.js';
import { Invitation } from './domains/accounts/invitation.entity.js';
import { Passkey } from './domains/accounts/passkey.entity.js';
import { Athlete } from './domains/athletes/athlete.entity.js';
import { CareRecord } from './domains/care/care-record.entity.js';
import { Club } from './domains/clubs/club.entity.js';
import { DrillSet } from './domains/drills/drill-set.entity.js';
import { RepRow } from './domains/drills/rep.entity.js';
import { TrainingGroup } from './domains/groups/training-group.entity.js';
import { ImportJob } from './domains/imports/import-job.entity.js';
import { Erased } from './domains/privacy/erased.entity.js';
import { TrailEntry } from './domains/privacy/trail-entry.entity.js';
import { SetNote } from './domains/notes/set-note.entity.js';
import { PatternVersion } from './domains/patterns/pattern-version.entity.js';
import { PatternRow } from './domains/patterns/pattern.entity.js';
import { HomePractice } from './domains/practice/home-practice.entity.js';
import { ProgrammeRow } from './domains/plans/programme.entity.js';
import { Plan } from './domains/plans/plan.entity.js';
import { Attendance } from './domains/sessions/attendance.entity.js';
import { HeldSession } from './domains/sessions/held-session.entity.js';
import { SessionNote } from './domains/sessions/session-note.entity.js';
import { Ladder } from './domains/progress/ladder.entity.js';
import { OwnLadder } from './domains/progress/own-ladder.entity.js';
import { RungMove } from './domains/progress/rung-move.entity.js';
import { MIGRATIONS } from './migrations/index.js';
import type { Tables } from './platform/database/orm-options.js';

/** Every table: those of the domains, then those of `derived/`. */
export const TABLES: Tables = {
  entities: [
    ...[Club, Athlete, PatternRow, PatternVersion, DrillSet, RepRow, SetNote],
    ...[Ladder, OwnLadder, RungMove, ImportJob, CareRecord, TrainingGroup, Plan],
    ...[HeldSession, Attendance, SessionNote, ProgrammeRow, HomePractice],
    ...[Account, Passkey, Invitation, TrailEntry, Erased],
    ...[SetFiguresRow, AthleteStanding, LadderStanding, SquadLineRow, SquadFormRow],
  ],
  migrations: MIGRATIONS,
};
