import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { senseOf, type Conditions } from '@orthokin/core/drill';
import type { Pattern, Rung } from '@orthokin/core/pattern';
import {
  decide,
  EVIDENCE_SETS,
  heldOnRung,
  isCuedAsAsked,
  USUAL_LADDER,
  whatIsAsked,
  withOwnLimits,
  type Asked,
  type Decision,
  type Evidence,
  type HeldOnRung,
  type JudgedSet,
  type KnownSet,
} from '@orthokin/core/progress';
import type { LadderPlace } from '@orthokin/core/progress';
import { groupBy } from '@orthokin/core/stats';
import { inTurn } from '../platform/database/in-turn.js';
import { conflict } from '../platform/http/refusals.js';
import { piecemeal } from '../platform/work/piecemeal.js';
import { rungAsRun } from '../domains/drills/as-run.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import type { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { PatternsService, reachedRung, versionKey } from '../domains/patterns/patterns.service.js';
import { Deciding, type Assessment } from '../domains/progress/deciding.js';
import { LaddersService } from '../domains/progress/ladders.service.js';
import { PlacesService, type Climb, type PlaceMove } from '../domains/progress/places.service.js';
import { FiguresService } from './figures.service.js';
import type { SetFiguresRow } from './set-figures.entity.js';

/** A set as evidence, and when it was run. */
export type DatedSet = KnownSet & { readonly startedAt: Date };

/** An athlete on the ladder as it is now. */
export interface ClimbStanding {
  /** As it is asked of this athlete. */
  readonly pattern: Pattern;
  readonly rung: number;
  readonly decision: Decision;
  readonly evidence: readonly DatedSet[];
  readonly held: HeldOnRung | null;
}

/** Searches made together: of more, whoever else waits would wait while their rows are read. */
const SEARCHED_AT_ONCE = 50;

/** Which evidence is looked for: of whom, of what is asked, and between which moments. */
interface Search extends Climb {
  readonly asked: Asked & { readonly pattern: Pattern };
  readonly after: Date | null;
  readonly until: Date | null;
}

/** A set's row as far as evidence needs it: without its cues. */
interface EvidenceRow {
  readonly nr: number;
  readonly id: string;
  readonly pattern_version: number;
  readonly rung: number;
  readonly source: string;
  readonly started_at: string;
  readonly day: string;
  readonly conditions: Pick<Conditions, 'order' | 'cueKinds' | 'eased'>;
  readonly limits_ms: DrillSet['limitsMs'];
}

/**
 * What the evidence says of athletes on their rungs. The database is asked the same few questions of one and of
 * fifty.
 */
@Injectable()
export class DecisionsService extends Deciding {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly figures: FiguresService,
    private readonly ladders: LaddersService,
    private readonly places: PlacesService,
  ) {
    super();
  }

  async assess(set: DrillSet): Promise<Assessment> {
    const [assessment] = await this.assessAll(set.clubId, [set]);
    if (!assessment)
      throw conflict('setId', set.id, 'a set that can be read; this one can be taken out');
    return assessment;
  }

  /**
   * Sets judged, and what their ladders' rules say after each. A set that was not run as its rung
   * asks is judged all the same, and is not among the evidence. `null` of one that cannot be read.
   */
  async assessAll(
    clubId: string,
    asked: readonly DrillSet[],
  ): Promise<readonly (Assessment | null)[]> {
    const figures = await this.figures.of(
      clubId,
      asked.map(({ id }) => id),
    );
    const sets = asked.filter(({ id }) => figures.has(id));
    const assessed = await this.assessed(clubId, sets, figures);
    const of = new Map(sets.map(({ id }, i) => [id, assessed[i]]));
    return asked.map(({ id }) => of.get(id) ?? null);
  }

  /** The same of sets that can be read. */
  private async assessed(
    clubId: string,
    sets: readonly DrillSet[],
    figures: ReadonlyMap<string, SetFiguresRow>,
  ): Promise<Assessment[]> {
    if (sets.length === 0) return [];
    const athleteIds = sets.map(({ athleteId }) => athleteId);
    const turn = inTurn(this.em);
    const [settings, places, versions] = await Promise.all([
      turn(() => this.ladders.allSettings(clubId)),
      turn(() => this.places.places(clubId, athleteIds)),
      turn(() => this.patterns.versions(clubId, sets.map(versionOf))),
    ]);
    const searches = sets.map((set): Search => {
      const { athleteId, patternId, startedAt } = set;
      const pattern = known(versions.get(versionKey(versionOf(set))), set.id).body;
      // As it was asked: a set that was made easier says nothing of its rung.
      const rung = rungAsRun(pattern, { ...set, conditions: {} });
      const place = places.of({ athleteId, patternId }, startedAt);
      const asked = { rung, pattern };
      return {
        ...{ athleteId, patternId, asked, until: startedAt },
        after: usedUpTo(place, rung.number),
      };
    });
    const evidence = await this.evidence(clubId, searches);
    return piecemeal(sets, (set, i) => {
      const { judgement } = known(figures.get(set.id), set.id);
      const { rung, pattern } = known(searches[i], set.id).asked;
      const grounds = about(evidence[i] ?? [], rung, pattern);
      const { rule } = settings.get(set.patternId) ?? USUAL_LADDER;
      return { judgement, decision: decide(grounds, rule), evidence: grounds };
    });
  }

  /** Where athletes stand on ladders now, and what comes next; patterns as they are `newest`, with rungs. */
  async standings(
    clubId: string,
    climbs: readonly (Climb & { readonly newest: PatternVersion })[],
  ): Promise<ClimbStanding[]> {
    if (climbs.length === 0) return [];
    const athleteIds = climbs.map(({ athleteId }) => athleteId);
    const turn = inTurn(this.em);
    const [settings, own, places] = await Promise.all([
      turn(() => this.ladders.allSettings(clubId)),
      turn(() => this.ladders.allOwnLimits(clubId, athleteIds)),
      turn(() => this.places.places(clubId, athleteIds)),
    ]);
    const searches = climbs.map(({ athleteId, patternId, newest }): Search => {
      const limits = own.get(`${athleteId} ${patternId}`) ?? [];
      const pattern = { ...newest.body, rungs: withOwnLimits(newest.body.rungs, limits) };
      const place = places.of({ athleteId, patternId });
      const rung = reachedRung(pattern, place.rung);
      return {
        ...{ athleteId, patternId, asked: { rung, pattern }, until: null },
        after: usedUpTo(place, rung.number),
      };
    });
    const evidence = await this.evidence(clubId, searches);
    return piecemeal(searches, ({ patternId, asked: { rung, pattern } }, i) => {
      const sets = evidence[i] ?? [];
      const { rule } = settings.get(patternId) ?? USUAL_LADDER;
      return {
        ...{ pattern, rung: rung.number, evidence: sets },
        decision: decide(about(sets, rung, pattern), rule),
        held: heldOnRung(sets, rung.passShare),
      };
    });
  }

  /**
   * The sets each athlete ran on a rung, oldest first, that asked what is asked, timed by the same
   * source and cued to the same sense as the newest. None of these is ever pooled.
   */
  private async evidence(clubId: string, searches: readonly Search[]): Promise<DatedSet[][]> {
    const rows = await this.rows(clubId, searches);
    const versions = await this.patterns.versions(
      clubId,
      rows.map(({ nr, pattern_version: version }) => ({
        patternId: searches[nr]?.patternId ?? '',
        version,
      })),
    );
    const found = groupBy(rows, ({ nr }) => String(nr));
    const of = await piecemeal(searches, ({ asked, patternId }, i) => {
      const wanted = whatIsAsked(asked);
      const same = (found.get(String(i)) ?? []).filter((row) => {
        const version = versions.get(versionKey({ patternId, version: row.pattern_version }));
        if (!version || !isCuedAsAsked(row.conditions.order, asked.rung)) return false;
        const run = { rung: row.rung, limitsMs: row.limits_ms, conditions: row.conditions };
        const { body } = version;
        return whatIsAsked({ rung: rungAsRun(body, run), pattern: body }) === wanted;
      });
      const [newest] = same;
      return same.filter(
        ({ source, conditions }) =>
          source === newest?.source && senseOf(conditions) === senseOf(newest.conditions),
      );
    });
    const figures = await this.figures.of(
      clubId,
      of.flat().map(({ id }) => id),
    );
    return piecemeal(of, (own) =>
      own
        .flatMap(({ id, day, started_at, source, conditions }) => {
          const found = figures.get(id);
          if (!found) return [];
          const { judgement, staircase } = found;
          return [
            {
              ...{ setId: id, day, startedAt: new Date(started_at), judgement },
              ...{ source, sense: senseOf(conditions) },
              ...(staircase && { staircase }),
            },
          ];
        })
        .reverse(),
    );
  }

  /** Sets that may be evidence, newest first, each with the number of its search. */
  private async rows(clubId: string, searches: readonly Search[]): Promise<EvidenceRow[]> {
    const found: EvidenceRow[] = [];
    for (let from = 0; from < searches.length; from += SEARCHED_AT_ONCE)
      found.push(
        ...(await this.rowsOf(clubId, searches.slice(from, from + SEARCHED_AT_ONCE), from)),
      );
    return found;
  }

  /** The same of some searches, numbered from the first of them. */
  private rowsOf(
    clubId: string,
    searches: readonly Search[],
    from: number,
  ): Promise<EvidenceRow[]> {
    return this.em.execute<EvidenceRow[]>(
      `select wanted.nr, found.* from jsonb_to_recordset(?::jsonb) as wanted
         (nr int, athlete_id uuid, pattern_id uuid, rung int,
          after timestamptz, until timestamptz)
       cross join lateral (
         select s.id, s.pattern_version, s.rung, s.source, s.started_at, s.day::text as day,
           jsonb_build_object('order', s.conditions->'order',
             'cueKinds', s.conditions->'cueKinds',
             'eased', s.conditions->'eased') as conditions, s.limits_ms
         from drill_set s
         where s.club_id = ? and s.athlete_id = wanted.athlete_id
           and s.pattern_id = wanted.pattern_id and s.rung = wanted.rung
           -- Cues that nobody timed show nothing, and must not part what was timed before and after.
           and s.source <> 'none'
           and jsonb_typeof(s.conditions->'cueKinds') = 'array'
           and s.started_at > coalesce(wanted.after, '-infinity')
           and s.started_at <= coalesce(wanted.until, 'infinity')
         order by s.started_at desc limit ${EVIDENCE_SETS}) as found
       order by wanted.nr, found.started_at desc`,
      [
        JSON.stringify(
          searches.map(({ athleteId, patternId, asked, after, until }, i) => ({
            ...{ nr: from + i, after, until, rung: asked.rung.number },
            ...{ athlete_id: athleteId, pattern_id: patternId },
          })),
        ),
        clubId,
      ],
    );
  }
}

const versionOf = ({ patternId, patternVersion }: DrillSet) => ({
  patternId,
  version: patternVersion,
});

/** A row that a stored row names: the database holds it to that. */
function known<T>(found: T | undefined, setId: string): T {
  if (found === undefined) throw new Error(`What set ${setId} rests on is not there.`);
  return found;
}

/** The moment up to which sets on a rung are used up by the move that led there; `null` when none did. */
const usedUpTo = ({ by }: LadderPlace<PlaceMove>, rung: number): Date | null =>
  by?.toRung === rung ? by.usedUpTo : null;

const about = (sets: readonly JudgedSet[], rung: Rung, pattern: Pattern): Evidence => ({
  ...{ sets, rung, hasRungBelow: rung.number > 1 },
  next: pattern.rungs.find(({ number }) => number === rung.number + 1) ?? null,
});
