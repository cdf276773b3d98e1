import { Injectable } from '@nestjs/common';
import type { AthleteCourseReply, AthleteRepsReply, PoolQuery } from '@orthokin/contract';
import { readSet, senseOf } from '@orthokin/core/drill';
import { COURSE_DURATIONS } from '@orthokin/core/stats';
import { CourseSetsService } from '../derived/course-sets.service.js';
import { SquadFormsService } from '../derived/squad-forms.service.js';
import { athleteReply, AthletesService } from '../domains/athletes/athletes.service.js';
import { DrillsService } from '../domains/drills/drills.service.js';
import { NotesService } from '../domains/notes/notes.service.js';
import { PatternsService, versionReply } from '../domains/patterns/patterns.service.js';
import { PlacesService } from '../domains/progress/places.service.js';
import { moveReply } from '../domains/progress/progress.service.js';

/** An athlete's sets over the weeks, from the first on. */
@Injectable()
export class CourseService {
  constructor(
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly drills: DrillsService,
    private readonly courseSets: CourseSetsService,
    private readonly squadForms: SquadFormsService,
    private readonly places: PlacesService,
    private readonly notes: NotesService,
  ) {}

  async course(clubId: string, athleteId: string): Promise<AthleteCourseReply> {
    const [athlete, sets, moves, notes, squad] = await Promise.all([
      this.athletes.one(clubId, athleteId),
      this.courseSets.ofAthlete(clubId, athleteId),
      this.places.moves(clubId, athleteId),
      this.notes.ofAthlete(clubId, athleteId),
      this.squadForms.of(clubId),
    ]);
    const versions = await this.patterns.versions(
      clubId,
      sets.map(({ patternId, patternVersion: version }) => ({ patternId, version })),
    );
    return {
      athlete: athleteReply(athlete),
      // An athlete who was given another pattern today still has a course on the old one to look at.
      patternId: sets.some(({ patternId }) => patternId === athlete.patternId)
        ? athlete.patternId
        : (sets.at(-1)?.patternId ?? athlete.patternId),
      ...{ sets, squad, notes },
      moves: moves.map(moveReply),
      patterns: [...versions.values()].map(versionReply),
    };
  }

  /** The counted reps of an athlete's sets that may be pooled, as columns. */
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
}
