import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { decisionHead } from '@orthokin/core/progress';
import type { AthleteReply, LastSetReply, SquadLineReply } from '@orthokin/contract';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { bandNow } from '../domains/athletes/athletes.service.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { NewestSetsService, workingOn } from '../domains/drills/newest-sets.service.js';
import { PatternsService, reachedRung } from '../domains/patterns/patterns.service.js';
import { PlacesService } from '../domains/progress/places.service.js';
import { DecisionsService } from './decisions.service.js';
import { SquadLineRow, type SquadLine } from './squad-line.entity.js';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly hand: AthleteReply['hand'];
  readonly age_band: AthleteReply['ageBand'];
  readonly born_on: string | null;
  readonly colour_vision: AthleteReply['colourVision'];
  readonly note: string | null;
  readonly line: SquadLine | null;
  readonly restricted: boolean;
}

/** The lines of the first page. One question to the database where all of them are kept. */
@Injectable()
export class SquadLinesService {
  constructor(
    private readonly em: EntityManager,
    private readonly patterns: PatternsService,
    private readonly places: PlacesService,
    private readonly newest: NewestSetsService,
    private readonly decisions: DecisionsService,
  ) {}

  /** Everyone of a club, by name. */
  async of(clubId: string): Promise<SquadLineReply[]> {
    const rows = await this.em.execute<Row[]>(
      `select a.id, a.name, a.hand, a.age_band, a.born_on, a.colour_vision, a.note, l.line,
         exists (select 1 from care_record c
           where c.club_id = a.club_id and c.athlete_id = a.id and c.kind = 'restriction'
             and c.taken_back is null
             and coalesce(c.said #>> '{restriction,until}', '9999') >= to_char(now(), 'YYYY-MM-DD'))
           as restricted
       from athlete a left join squad_line l on l.club_id = a.club_id and l.id = a.id
       where a.club_id = ? and a.archived_at is null order by a.name`,
      [clubId],
    );
    const missing = rows.filter(({ line }) => line === null).map(({ id }) => id);
    const fresh = await this.workOut(clubId, missing);
    return rows.flatMap(({ line: kept, age_band, born_on, colour_vision, restricted, ...row }) => {
      const line = kept ?? fresh.get(row.id);
      if (!line) return [];
      return [
        {
          athlete: { ...row, ageBand: bandNow(age_band, born_on), colourVision: colour_vision },
          restricted,
          ...line,
        },
      ];
    });
  }

  private kept(
    clubId: string,
    athleteIds: readonly string[],
  ): Promise<Pick<SquadLineRow, 'id' | 'line'>[]> {
    return this.em.execute(
      `select id, line from squad_line where club_id = ? and id = any (?::uuid[])`,
      [clubId, `{${athleteIds.join(',')}}`],
    );
  }

  private async workOut(
    clubId: string,
    athleteIds: readonly string[],
  ): Promise<ReadonlyMap<string, SquadLine>> {
    if (athleteIds.length === 0) return new Map();
    return this.em.transactional(async (em) => {
      // Whoever adds to what an athlete did holds the athlete: what is kept is never older.
      const held = await em.find(
        Athlete,
        { clubId, id: { $in: [...athleteIds] } },
        { lockMode: LockMode.PESSIMISTIC_WRITE, orderBy: { id: 'asc' } },
      );
      // Somebody who asked a moment sooner may have worked them out while we waited.
      const kept = new Map(
        (await this.kept(clubId, athleteIds)).map(({ id, line }) => [id, line] as const),
      );
      const athletes = held.filter(({ id }) => !kept.has(id));
      if (athletes.length === 0) return kept;
      const newest = await this.newest.of(
        clubId,
        athletes.map(({ id }) => id),
      );
      const patterns = await this.patterns.all(clubId);
      const places = await this.places.places(clubId, athleteIds);
      const last = await this.lastSets(
        clubId,
        [...newest.values()].map(({ setId }) => setId),
      );
      const lines = athletes.flatMap((athlete): [string, SquadLine][] => {
        const set = newest.get(athlete.id);
        // Nobody vanishes from the squad because a pattern has no rungs, or cannot be read.
        const patternId = [workingOn(athlete, set), athlete.patternId, ...patterns.keys()].find(
          (id) => (patterns.get(id)?.body.rungs.length ?? 0) > 0,
        );
        const pattern = patternId === undefined ? undefined : patterns.get(patternId)?.body;
        if (patternId === undefined || !pattern) return [];
        const place = places.of({ athleteId: athlete.id, patternId });
        const { number, name } = reachedRung(pattern, place.rung);
        const line = {
          ...{ patternId, patternName: pattern.name },
          ...{ rung: number, rungName: name, rungs: pattern.rungs.length },
          lastSet: (set && last.get(set.setId)) ?? null,
        };
        return [[athlete.id, line]];
      });
      await em.upsertMany(
        SquadLineRow,
        lines.map(([id, line]) => ({ clubId, id, patternId: line.patternId, line })),
      );
      return new Map([...kept, ...lines]);
    });
  }

  private async lastSets(
    clubId: string,
    setIds: readonly string[],
  ): Promise<ReadonlyMap<string, LastSetReply>> {
    const sets = await this.em.find(
      DrillSet,
      { clubId, id: { $in: [...setIds] } },
      { disableIdentityMap: true },
    );
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
