import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { senseOf, type Conditions } from '@orthokin/core/drill';
import type { Pattern } from '@orthokin/core/pattern';
import {
  EVIDENCE_SETS,
  isCuedAsAsked,
  whatIsAsked,
  type Asked,
  type KnownSet,
} from '@orthokin/core/progress';
import { groupBy } from '@orthokin/core/stats';
import { rungAsRun } from '../domains/drills/as-run.js';
import type { DrillSet } from '../domains/drills/drill-set.entity.js';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';
import type { Climb } from '../domains/progress/places.service.js';
import { piecemeal } from '../platform/work/piecemeal.js';
import { FiguresService } from './figures.service.js';

/** A set as evidence, with its start. */
export type DatedSet = KnownSet & { readonly startedAt: Date };

/** Searches per query: converting more rows at once would block other requests. */
const SEARCHED_AT_ONCE = 50;

/** Which evidence to look for: whose, for which demands, and between which moments. */
export interface EvidenceSearch extends Climb {
  readonly asked: Asked & { readonly pattern: Pattern };
  readonly after: Date | null;
  readonly until: Date | null;
}

/** The columns of a set that evidence needs, without its cues. */
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

/** Finds the sets that are evidence for athletes on their rungs. */
@Injectable()
export class EvidenceService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly figures: FiguresService,
  ) {}

  /**
   * For each search the sets run on that rung with the same demands, oldest first. Only sets with the newest one's
   * timing source and cue sense count, since those are never pooled.
   */
  async of(clubId: string, searches: readonly EvidenceSearch[]): Promise<DatedSet[][]> {
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

  /** Candidate sets, newest first, each with the index of its search. */
  private async rows(clubId: string, searches: readonly EvidenceSearch[]): Promise<EvidenceRow[]> {
    const found: EvidenceRow[] = [];
    for (let from = 0; from < searches.length; from += SEARCHED_AT_ONCE)
      found.push(
        ...(await this.rowsOf(clubId, searches.slice(from, from + SEARCHED_AT_ONCE), from)),
      );
    return found;
  }

  /** The same for a slice of the searches; `from` is the index of its first. */
  private rowsOf(
    clubId: string,
    searches: readonly EvidenceSearch[],
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
