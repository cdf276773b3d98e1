import { EntityManager, type EntityClass } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import {
  CLUB_FORMAT,
  CLUB_FORMAT_VERSION,
  ClubFile,
  ClubReply,
  PatternBody,
  validationProblems,
} from '@orthokin/contract';
import { checkPattern, rungOf } from '@orthokin/core/pattern';
import { wrong } from '@orthokin/core/result';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { athleteReply } from '../domains/athletes/athletes.service.js';
import { Club } from '../domains/clubs/club.entity.js';
import { SetNote } from '../domains/notes/set-note.entity.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { repReply, setReply } from '../domains/drills/drills.service.js';
import { RepRow } from '../domains/drills/rep.entity.js';
import { accepted, conflict, refuseProblems, unknown } from '../platform/http/refusals.js';
import { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { PatternRow } from '../domains/patterns/pattern.entity.js';
import { Ladder } from '../domains/progress/ladder.entity.js';
import { OwnLadder } from '../domains/progress/own-ladder.entity.js';
import { moveReply } from '../domains/progress/progress.service.js';
import { RungMove } from '../domains/progress/rung-move.entity.js';

/** More rows than this at once would make one very long statement. */
const CHUNK = 500;

/** A whole club out of the database and back into it. */
@Injectable()
export class ClubFileService {
  constructor(private readonly em: EntityManager) {}

  async club(clubId: string): Promise<Club> {
    const club = await this.em.findOne(Club, { clubId });
    if (!club) throw unknown('clubId', clubId, 'a club');
    return club;
  }

  async take(clubId: string): Promise<ClubFile> {
    const { name } = await this.club(clubId);
    const all = { disableIdentityMap: true, orderBy: { id: 'asc' } } as const;
    const [athletes, patterns, versions, sets, reps, moves, notes, ladders, ownLadders] =
      await Promise.all([
        this.em.find(Athlete, { clubId }, all),
        this.em.find(PatternRow, { clubId }, all),
        this.em.find(
          PatternVersion,
          { clubId },
          { disableIdentityMap: true, orderBy: { version: 'asc' } },
        ),
        this.em.find(DrillSet, { clubId }, all),
        this.em.find(RepRow, { clubId }, all),
        this.em.find(RungMove, { clubId }, all),
        this.em.find(SetNote, { clubId }, all),
        this.em.find(Ladder, { clubId }, all),
        this.em.find(OwnLadder, { clubId }, all),
      ]);
    return {
      format: CLUB_FORMAT,
      version: CLUB_FORMAT_VERSION,
      club: { clubId, name },
      athletes: athletes.map((athlete) => ({
        ...athleteReply(athlete),
        patternId: athlete.patternId,
        simulated: athlete.simulated,
      })),
      patterns: patterns.map(({ id, archivedAt }) => ({
        id,
        archivedAt: archivedAt?.toISOString() ?? null,
        versions: versions
          .filter(({ patternId }) => patternId === id)
          .map(({ version, savedAt, body }) => ({
            ...{ version, body: body as PatternBody },
            savedAt: savedAt.toISOString(),
          })),
      })),
      sets: sets.map(setReply),
      reps: reps.map((rep) => ({ ...repReply(rep), setId: rep.setId })),
      moves: moves.map((move) => ({ ...moveReply(move), evidence: move.evidence })),
      notes: notes.map(({ id, setId, text, writtenBy, writtenAt, removedAt }) => ({
        ...{ id, setId, text, writtenBy },
        writtenAt: writtenAt.toISOString(),
        removed: removedAt !== null,
        removedAt: removedAt?.toISOString() ?? null,
      })),
      ladders: ladders.map(({ id, patternId, savedAt, settings }) => ({
        ...{ id, patternId, savedAt: savedAt.toISOString() },
        settings: settings,
      })),
      ownLadders: ownLadders.map(({ id, athleteId, patternId, savedAt, limits }) => ({
        ...{ id, athleteId, patternId, savedAt: savedAt.toISOString() },
        limits: limits,
      })),
    };
  }

  /** Brings a club in that is not here; all of it or nothing. */
  async bring(given: unknown): Promise<ClubReply> {
    const file = checked(given);
    const { clubId, name } = file.club;
    await this.em.transactional(async (em) => {
      if (await em.findOne(Club, { clubId }))
        throw conflict('club.clubId', clubId, 'a club that is not here: wipe this one first');
      await em.insert(Club, { clubId, name });
      const insert = async <Row extends object>(entity: EntityClass<Row>, rows: object[]) => {
        for (let i = 0; i < rows.length; i += CHUNK)
          await em.insertMany(
            entity,
            rows.slice(i, i + CHUNK).map((row) => ({ ...row, clubId })) as never,
          );
      };
      const dated = <Row extends { savedAt: string }>(row: Row) => ({
        ...row,
        savedAt: new Date(row.savedAt),
      });
      const date = (iso: string | null) => (iso === null ? null : new Date(iso));
      await insert(
        PatternRow,
        file.patterns.map(({ id, archivedAt }) => ({ id, archivedAt: date(archivedAt) })),
      );
      await insert(
        PatternVersion,
        file.patterns.flatMap(({ id, versions }) =>
          versions.map(({ version, savedAt, body }) => ({
            ...{ patternId: id, version, body },
            savedAt: new Date(savedAt),
          })),
        ),
      );
      await insert(Athlete, file.athletes);
      await insert(
        DrillSet,
        file.sets.map(({ limitsMs = null, ...set }) => ({
          ...{ ...set, limitsMs },
          startedAt: new Date(set.startedAt),
          endedAt: date(set.endedAt),
        })),
      );
      await insert(RepRow, replacedFirst(file.reps));
      await insert(
        RungMove,
        file.moves.map(({ reason = null, ...move }) => ({
          ...{ ...move, reason },
          movedAt: new Date(move.movedAt),
        })),
      );
      await insert(Ladder, file.ladders.map(dated));
      await insert(OwnLadder, file.ownLadders.map(dated));
      await insert(
        SetNote,
        file.notes.map(({ id, setId, text, writtenBy, writtenAt, removedAt }) => ({
          ...{ id, setId, text, writtenBy },
          writtenAt: new Date(writtenAt),
          removedAt: date(removedAt),
        })),
      );
    });
    return { clubId, name };
  }

  /** Takes a whole club away; its name must be said. */
  async wipe(clubId: string, name: string): Promise<void> {
    const club = await this.club(clubId);
    if (club.name !== name) throw conflict('name', name, `${club.name}, the name of this club`);
    await this.em.transactional(async (em) => {
      // Sets and athletes hold on to patterns, so those go last, with their club.
      await em.nativeDelete(Athlete, { clubId });
      await em.nativeDelete(Club, { clubId });
    });
  }
}

/** A correction names the rep it replaces, which must be there before it. */
function replacedFirst(reps: ClubFile['reps']): object[] {
  const placed = new Set<string | null>([null]);
  let waiting = reps.map((rep) => ({ ...rep, replaces: rep.replaces ?? null }));
  const order: typeof waiting = [];
  while (waiting.length > 0) {
    const ready = waiting.filter(({ replaces }) => placed.has(replaces));
    const [stuck] = waiting;
    if (ready.length === 0)
      accepted(wrong('reps.replaces', stuck?.replaces, 'reps that do not replace each other'));
    for (const { id } of ready) placed.add(id);
    order.push(...ready);
    waiting = waiting.filter(({ id }) => !placed.has(id));
  }
  return order.map(({ marks = null, corrected = null, ...rep }) => ({ ...rep, marks, corrected }));
}

function checked(given: unknown): ClubFile {
  if (typeof given !== 'object' || given === null || Array.isArray(given))
    accepted(wrong('club.json', given, 'an object'));
  const file = plainToInstance(ClubFile, given);
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true });
  if (errors.length > 0) throw refuseProblems(validationProblems(errors));
  for (const { versions } of file.patterns)
    for (const { body } of versions) accepted(checkPattern(body));
  checkNames(file);
  return file;
}

/** Whatever a row names must be in the file as well. */
function checkNames(file: ClubFile): void {
  const { athletes, patterns, sets, reps, moves, notes, ladders, ownLadders } = file;
  const idsOf = (rows: readonly { readonly id: string }[]) => new Set(rows.map(({ id }) => id));
  const [athleteIds, patternIds, setIds, repIds] = [athletes, patterns, sets, reps].map(idsOf);
  const check = (
    rows: readonly object[],
    list: string,
    field: string,
    known: ReadonlySet<string> | undefined,
  ) => {
    for (const [i, row] of rows.entries()) {
      const id = (row as Record<string, string | null>)[field] ?? null;
      if (id !== null && !known?.has(id))
        accepted(wrong(`${list}[${i}].${field}`, id, 'an id that is in the file'));
    }
  };
  check(athletes, 'athletes', 'patternId', patternIds);
  check(sets, 'sets', 'athleteId', athleteIds);
  check(sets, 'sets', 'patternId', patternIds);
  check(reps, 'reps', 'setId', setIds);
  check(reps, 'reps', 'replaces', repIds);
  check(moves, 'moves', 'athleteId', athleteIds);
  check(moves, 'moves', 'patternId', patternIds);
  check(moves, 'moves', 'setId', setIds);
  check(notes, 'notes', 'setId', setIds);
  check(ladders, 'ladders', 'patternId', patternIds);
  check(ownLadders, 'ownLadders', 'athleteId', athleteIds);
  check(ownLadders, 'ownLadders', 'patternId', patternIds);
  for (const [i, { patternId, patternVersion, rung }] of sets.entries()) {
    const pattern = patterns.find(({ id }) => id === patternId);
    const version = pattern?.versions.find((each) => each.version === patternVersion);
    if (!version)
      accepted(wrong(`sets[${i}].patternVersion`, patternVersion, 'a version that is in the file'));
    else if (!rungOf(version.body, rung))
      accepted(wrong(`sets[${i}].rung`, rung, `1 to ${version.body.rungs.length}`));
  }
}
