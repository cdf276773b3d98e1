import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type {
  AthleteCourseReply,
  AthleteRepsReply,
  CourseSetReply,
  PoolQuery,
  SetNoteBody,
  SetNoteReply,
} from '@orthokin/contract';
import { readSet, senseOf, type Conditions } from '@orthokin/core/drill';
import type { SetTableSet } from '@orthokin/core/formats';
import type { SetOutcome } from '@orthokin/core/progress';
import { COURSE_DURATIONS, type SetFigures } from '@orthokin/core/stats';
import { athleteReply, AthletesService } from '../athletes/athletes.service.js';
import { DrillsService } from '../drills/drills.service.js';
import { FiguresService } from '../drills/figures.service.js';
import { PatternsService, versionReply } from '../patterns/patterns.service.js';
import { PlacesService } from '../progress/places.service.js';
import { moveReply } from '../progress/progress.service.js';
import { SetNote } from './set-note.entity.js';

/** A set's row as far as a course needs it: without its cues, with what follows from its reps. */
interface CourseRow {
  readonly id: string;
  readonly athlete_id: string;
  readonly pattern_id: string;
  readonly pattern_version: number;
  readonly rung: number;
  readonly source: CourseSetReply['source'];
  readonly started_at: Date;
  readonly day: string;
  readonly seed: string;
  readonly cue_kinds: Conditions['cueKinds'];
  readonly figures: SetFigures | null;
  readonly outcome: SetOutcome | null;
}

const COURSE_COLUMNS = `
  s.id, s.athlete_id, s.pattern_id, s.pattern_version, s.rung, s.source, s.started_at,
  s.day::text as day, s.seed, s.conditions->'cueKinds' as cue_kinds,
  f.figures, f.judgement->>'outcome' as outcome
  from drill_set s left join set_figures f on f.club_id = s.club_id and f.id = s.id`;

/** An athlete over weeks, from the first set on. */
@Injectable()
export class CourseService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly drills: DrillsService,
    private readonly figures: FiguresService,
    private readonly places: PlacesService,
  ) {}

  async course(clubId: string, athleteId: string): Promise<AthleteCourseReply> {
    const [athlete, rows, moves, notes] = await Promise.all([
      this.athletes.one(clubId, athleteId),
      this.em.execute<CourseRow[]>(
        `select ${COURSE_COLUMNS} where s.club_id = ? and s.athlete_id = ? order by s.started_at`,
        [clubId, athleteId],
      ),
      this.places.moves(clubId, athleteId),
      this.em.execute<NoteRow[]>(
        `select n.* from set_note n join drill_set s on s.club_id = n.club_id and s.id = n.set_id
         where n.club_id = ? and s.athlete_id = ? and n.removed_at is null order by n.written_at`,
        [clubId, athleteId],
      ),
    ]);
    const sets = await this.replies(clubId, rows);
    const versions = new Map(
      rows.map((row) => [`${row.pattern_id} ${row.pattern_version}`, row] as const),
    );
    const patterns = await Promise.all(
      [...versions.values()].map((row) =>
        this.patterns.version(clubId, row.pattern_id, row.pattern_version),
      ),
    );
    return {
      athlete: athleteReply(athlete),
      patternId: rows.at(-1)?.pattern_id ?? athlete.patternId,
      sets,
      moves: moves.map(moveReply),
      patterns: patterns.map(versionReply),
      notes: notes.map(noteOfRow),
    };
  }

  /** Sets of some athletes since a moment, by athlete, oldest first. */
  async setsSince(
    clubId: string,
    athleteIds: readonly string[],
    since: Date,
  ): Promise<ReadonlyMap<string, CourseSetReply[]>> {
    const rows = await this.em.execute<CourseRow[]>(
      `select ${COURSE_COLUMNS}
       where s.club_id = ? and s.athlete_id = any (?::uuid[]) and s.started_at >= ?
       order by s.started_at`,
      [clubId, `{${athleteIds.join(',')}}`, since],
    );
    const sets = new Map(
      (await this.replies(clubId, rows)).map((set) => [set.setId, set] as const),
    );
    const of = new Map<string, CourseSetReply[]>(athleteIds.map((id) => [id, []]));
    for (const { id, athlete_id } of rows) {
      const set = sets.get(id);
      if (set) of.get(athlete_id)?.push(set);
    }
    return of;
  }

  /** Every set of a club, oldest first, with the names a table wants. */
  async everySet(clubId: string): Promise<SetTableSet[]> {
    const [athletes, patterns, rows] = await Promise.all([
      this.athletes.all(clubId),
      this.patterns.all(clubId),
      this.em.execute<CourseRow[]>(
        `select ${COURSE_COLUMNS} where s.club_id = ? order by s.started_at, s.id`,
        [clubId],
      ),
    ]);
    const names = new Map(athletes.map(({ id, name }) => [id, name]));
    const athleteOf = new Map(rows.map((row) => [row.id, names.get(row.athlete_id) ?? '']));
    return (await this.replies(clubId, rows)).map((set) => ({
      ...set,
      athlete: athleteOf.get(set.setId) ?? '',
      pattern: patterns.get(set.patternId)?.body.name ?? '',
    }));
  }

  /** Counted reps of sets of one athlete that may be pooled, as columns. */
  async reps(
    clubId: string,
    athleteId: string,
    { patternId, patternVersion, source, sense }: PoolQuery,
  ): Promise<AthleteRepsReply> {
    await this.athletes.one(clubId, athleteId);
    const { body: pattern } = await this.patterns.version(clubId, patternId, patternVersion);
    const all = await this.drills.setsOf(clubId, { athleteId, patternId, patternVersion, source });
    const sets = all.filter(({ conditions }) => senseOf(conditions) === sense);
    const reps = await this.drills.repsOfSets(
      clubId,
      sets.map(({ id }) => id),
    );
    const columns: AthleteRepsReply = {
      setIds: sets.map(({ id }) => id),
      ...{ set: [], target: [], reaction: [], response: [], travel: [], recovery: [], cycle: [] },
    };
    for (const [index, set] of sets.entries())
      for (const { rep, durations, leftOut } of readSet(set, reps.get(set.id) ?? [], pattern)) {
        if (leftOut) continue;
        columns.set.push(index);
        columns.target.push(rep.target);
        for (const name of COURSE_DURATIONS) columns[name].push(durations[name]?.ms ?? null);
      }
    return columns;
  }

  /** Writes a note of a set, takes it back, or puts it back. */
  async writeNote(clubId: string, id: string, body: SetNoteBody): Promise<SetNoteReply> {
    await this.drills.set(clubId, body.setId);
    const { removed, writtenAt, ...note } = body;
    await this.em.upsert(SetNote, {
      ...{ clubId, id, ...note },
      writtenAt: new Date(writtenAt),
      removedAt: removed ? new Date() : null,
    });
    return { id, ...body };
  }

  /** Sets with their figures, worked out first where they are missing. */
  private async replies(clubId: string, rows: readonly CourseRow[]): Promise<CourseSetReply[]> {
    const missing = rows.filter(({ figures }) => figures === null).map(({ id }) => id);
    const fresh = await this.figures.of(clubId, missing);
    return rows.flatMap((row) => {
      const figures = row.figures ?? fresh.get(row.id)?.figures;
      const outcome = row.outcome ?? fresh.get(row.id)?.judgement.outcome;
      if (!figures || !outcome) return [];
      return [courseSet(row, figures, outcome)];
    });
  }
}

const courseSet = (row: CourseRow, figures: SetFigures, outcome: SetOutcome): CourseSetReply => ({
  setId: row.id,
  atMs: new Date(row.started_at).getTime(),
  day: row.day,
  patternId: row.pattern_id,
  patternVersion: row.pattern_version,
  rung: row.rung,
  source: row.source,
  sense: senseOf({ cueKinds: row.cue_kinds }),
  seed: Number(row.seed),
  figures,
  outcome,
});

interface NoteRow {
  readonly id: string;
  readonly set_id: string;
  readonly text: string;
  readonly written_by: string;
  readonly written_at: Date;
}

const noteOfRow = (row: NoteRow): SetNoteReply => ({
  id: row.id,
  setId: row.set_id,
  text: row.text,
  writtenBy: row.written_by,
  writtenAt: new Date(row.written_at).toISOString(),
  removed: false,
});
