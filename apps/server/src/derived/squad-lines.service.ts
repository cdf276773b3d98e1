import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { limitsForAll, type Pattern, type Rung } from '@orthokin/core/pattern';
import {
  claimsOf,
  decisionHead,
  needOf,
  withOwnLimits,
  type Claims,
} from '@orthokin/core/progress';
import { shortCourse, type Standing } from '@orthokin/core/stats';
import type { AthleteReply, LastSetReply, SquadLineReply } from '@orthokin/contract';
import { plainRows } from '../platform/storage/plain-rows.js';
import { bandNow } from '../domains/athletes/athletes.service.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { NewestSetsService } from '../domains/drills/newest-sets.service.js';
import { PatternsService, reachedRung } from '../domains/patterns/patterns.service.js';
import { LaddersService } from '../domains/progress/ladders.service.js';
import { PlacesService } from '../domains/progress/places.service.js';
import { openSealedText } from '../platform/storage/sealed.js';
import { AthleteStandingsService } from './athlete-standings.service.js';
import { CourseSetsService } from './course-sets.service.js';
import { DecisionsService } from './decisions.service.js';
import { keepWorkedOut } from './keep-worked-out.js';
import type { LadderStanding } from './ladder-standing.entity.js';
import { LadderStandingsService, type Climber } from './ladder-standings.service.js';
import { SquadLineRow, type KeptMember, type SquadLine } from './squad-line.entity.js';
import { dayOf, squadSince } from './squad-forms.service.js';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly hand: AthleteReply['hand'];
  readonly age_band: AthleteReply['ageBand'];
  readonly born_on: string | null;
  readonly colour_vision: AthleteReply['colourVision'];
  readonly note: string | null;
  readonly line: SquadLine | null;
  readonly member: KeptMember | null;
  readonly restricted: boolean;
}

/** The pattern an athlete is working on, and how the last set on it went. */
interface Working extends Climber {
  readonly pattern: Pattern;
  /** With the athlete's own limits. */
  readonly rung: Rung;
  readonly lastSet: LastSetReply | null;
}

/** The cached part of a line. */
type Kept = Pick<SquadLineRow, 'line' | 'member'>;

/** Athletes per batch: with twice as many, a rep recorded meanwhile waits a quarter longer. */
const AT_ONCE = 25;

const NO_CLAIMS: Claims = { change: null, slowerSide: null, isNewLean: false, isStuck: false };

/** Reduces a standing to what claims rest on, since it is read with every first page. */
const memberOf = (
  { change, lean, leanChange, lastTimedMs }: Standing,
  ladder: Pick<LadderStanding, 'decision' | 'held'> | undefined,
  hasRungAbove: boolean,
): KeptMember => ({
  standing: {
    change: change && { p: change.p, words: change.words, changeMs: change.changeMs },
    lean: lean && { p: lean.p, percent: lean.percent },
    ...{ leanChange, lastTimedMs },
  },
  held: ladder?.held ? { p: ladder.held.p } : null,
  answer: ladder?.decision.answer ?? null,
  hasRungAbove,
});

/** The lines of the first page. If all are cached that is a single query. */
@Injectable()
export class SquadLinesService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly places: PlacesService,
    private readonly newest: NewestSetsService,
    private readonly decisions: DecisionsService,
    private readonly ladders: LaddersService,
    private readonly ladderStandings: LadderStandingsService,
    private readonly standings: AthleteStandingsService,
    private readonly courses: CourseSetsService,
  ) {}

  /** All athletes of a club, by name. */
  async of(clubId: string, now = new Date()): Promise<SquadLineReply[]> {
    const rows = await this.em.execute<Row[]>(
      `select a.id, a.name, a.hand, a.age_band, a.born_on, a.colour_vision, a.note, l.line, l.member,
         exists (select 1 from care_record c
           where c.club_id = a.club_id and c.athlete_id = a.id and c.kind = 'restriction'
             and c.taken_back is null
             and coalesce(c.until, '9999') >= to_char(now(), 'YYYY-MM-DD'))
           as restricted
       from athlete a left join squad_line l
         on l.club_id = a.club_id and l.id = a.id and l.day = ?
       where a.club_id = ? and a.archived_at is null order by a.name`,
      [dayOf(now), clubId],
    );
    const missing = rows.filter(({ line }) => line === null).map(({ id }) => id);
    const fresh = await this.workOut(clubId, missing, now);
    const all = rows.flatMap(({ line, member, ...row }) => {
      const kept = line && member ? { line, member } : fresh.get(row.id);
      return kept ? [{ row, ...kept }] : [];
    });
    const claims = claimsOf(all.map(({ member }) => member));
    return all.map(({ row, line, member }, i) => {
      const { age_band, born_on, colour_vision, restricted, note, ...athlete } = row;
      const own = claims[i] ?? NO_CLAIMS;
      return {
        athlete: {
          ...athlete,
          note: openSealedText(note),
          ageBand: bandNow(age_band, openSealedText(born_on)),
          colourVision: colour_vision,
        },
        ...{ restricted, ...line, claims: own },
        need: needOf({ ...member, claims: own }, now.getTime()),
      };
    });
  }

  private async workOut(
    clubId: string,
    athleteIds: readonly string[],
    now: Date,
  ): Promise<ReadonlyMap<string, Kept>> {
    const all = new Map<string, Kept>();
    for (let i = 0; i < athleteIds.length; i += AT_ONCE)
      for (const row of await keepWorkedOut(this.em, clubId, athleteIds.slice(i, i + AT_ONCE), {
        entity: SquadLineRow,
        athleteOf: ({ id }) => id,
        workOut: (ids) => this.rowsOf(clubId, ids, now),
      }))
        all.set(row.id, row);
    return all;
  }

  private async rowsOf(
    clubId: string,
    athleteIds: readonly string[],
    now: Date,
  ): Promise<SquadLineRow[]> {
    const athletes = await this.em.execute<{ id: string; patternId: string }[]>(
      `select id, pattern_id as "patternId" from athlete where club_id = ? and id = any (?::uuid[])`,
      [clubId, `{${athleteIds.join(',')}}`],
    );
    const newest = await this.newest.of(clubId, athleteIds);
    const patterns = await this.patterns.all(clubId);
    const places = await this.places.places(clubId, athleteIds);
    const last = await this.lastSets(clubId, [...newest.values()]);
    const own = await this.ladders.allOwnLimits(clubId, athleteIds);
    const working = athletes.flatMap((athlete): Working[] => {
      const set = newest.get(athlete.id);
      // An athlete stays on the page even if their pattern has no rungs or cannot be read.
      const patternId = [athlete.patternId, ...patterns.keys()].find(
        (id) => (patterns.get(id)?.body.rungs.length ?? 0) > 0,
      );
      const found = patternId === undefined ? undefined : patterns.get(patternId);
      if (patternId === undefined || !found) return [];
      const { body: pattern, version } = found;
      const limits = own.get(`${athlete.id} ${patternId}`) ?? [];
      const place = places.of({ athleteId: athlete.id, patternId });
      const rungs = withOwnLimits(pattern.rungs, limits);
      const rung = reachedRung({ ...pattern, rungs }, place.rung);
      const lastSet = (set === undefined ? undefined : last.get(set)) ?? null;
      return [{ athleteId: athlete.id, patternId, version, pattern, rung, lastSet }];
    });
    const day = dayOf(now);
    return (await this.keptOf(clubId, working, now)).map(([id, { line, member }]) => ({
      ...{ clubId, id, patternId: line.patternId, line, day, member },
    }));
  }

  /** Works out cache rows from standings, ladders and recent weeks. */
  private async keptOf(
    clubId: string,
    working: readonly Working[],
    now: Date,
  ): Promise<[athleteId: string, Kept][]> {
    const ids = working.map(({ athleteId }) => athleteId);
    const standings = await this.standings.of(clubId, ids, now);
    const ladders = await this.ladderStandings.of(clubId, working);
    const courses = await this.courses.since(clubId, squadSince(now), ids);
    return working.flatMap(({ athleteId, patternId, pattern, rung, lastSet }): [string, Kept][] => {
      const standing = standings.get(athleteId);
      if (!standing) return [];
      const ladder = ladders.get(athleteId);
      const line = {
        ...{ patternId, patternName: pattern.name, lastSet },
        ...{ rung: rung.number, rungName: rung.name, rungs: pattern.rungs.length },
        course: shortCourse(
          (courses.get(athleteId) ?? []).filter((one) => one.patternId === patternId),
          ladder?.decision.limiting?.gate ?? null,
          limitsForAll(rung),
        ),
      };
      const hasRungAbove = rung.number < pattern.rungs.length;
      return [[athleteId, { line, member: memberOf(standing, ladder, hasRungAbove) }]];
    });
  }

  private async lastSets(
    clubId: string,
    setIds: readonly string[],
  ): Promise<ReadonlyMap<string, LastSetReply>> {
    const sets = await plainRows(this.em, DrillSet, 'where club_id = ? and id = any (?::uuid[])', [
      clubId,
      `{${setIds.join(',')}}`,
    ]);
    const assessed = await this.decisions.assessAll(clubId, sets);
    return new Map(
      sets.flatMap(({ id, startedAt, rung }, i): [string, LastSetReply][] => {
        const own = assessed[i];
        if (!own) return [];
        const { outcome } = own.judgement;
        const decision = decisionHead(own.decision);
        return [[id, { id, startedAt: startedAt.toISOString(), rung, outcome, decision }]];
      }),
    );
  }
}
