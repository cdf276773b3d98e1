import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { UnreadableReply } from '@orthokin/contract';
import { FiguresService } from '../derived/figures.service.js';
import { keptBeside } from '../derived/set-figures.entity.js';
import { AthletesService } from '../domains/athletes/athletes.service.js';
import { CareService } from '../domains/care/care.service.js';
import { PatternsService, versionKey } from '../domains/patterns/patterns.service.js';

interface SetRow {
  readonly id: string;
  readonly athlete: string;
  readonly started_at: string;
}

interface VersionRow {
  readonly pattern_id: string;
  readonly version: number;
  readonly saved_at: string;
  readonly sets: number;
}

/** Stored rows of a club that cannot be read, so that somebody can repair or remove them. */
@Injectable()
export class UnreadableService {
  constructor(
    private readonly em: EntityManager,
    private readonly figures: FiguresService,
    private readonly patterns: PatternsService,
    private readonly athletes: AthletesService,
    private readonly care: CareService,
  ) {}

  async of(clubId: string): Promise<UnreadableReply[]> {
    const versions = await this.versions(clubId);
    const broken = new Set(versions.map(({ id, version }) => `${id} ${String(version)}`));
    return [...versions, ...(await this.sets(clubId, broken)), ...(await this.said(clubId))];
  }

  private async versions(clubId: string): Promise<UnreadableReply[]> {
    const rows = await this.em.execute<VersionRow[]>(
      `select v.pattern_id, v.version, v.saved_at,
         (select count(*)::int from drill_set s where s.club_id = v.club_id
            and s.pattern_id = v.pattern_id and s.pattern_version = v.version) as sets
       from pattern_version v where v.club_id = ? order by v.saved_at`,
      [clubId],
    );
    const wanted = rows.map(({ pattern_id: patternId, version }) => ({ patternId, version }));
    const found = await this.patterns.versions(clubId, wanted);
    return rows
      .filter(
        ({ pattern_id: patternId, version }) => !found.has(versionKey({ patternId, version })),
      )
      .map(({ pattern_id: id, version, saved_at, sets }) => ({
        ...{ kind: 'pattern version' as const, id, version, athlete: null, sets },
        at: new Date(saved_at).toISOString(),
      }));
  }

  private async said(clubId: string): Promise<UnreadableReply[]> {
    const rows = await this.care.unreadable(clubId);
    if (rows.length === 0) return [];
    const athletes = await this.athletes.everyone(clubId);
    const names = new Map(athletes.map(({ id, name }) => [id, name]));
    return rows.map(({ id, athleteId, saidAt }) => ({
      ...{ kind: 'care' as const, id, version: null, sets: 0 },
      athlete: names.get(athleteId) ?? null,
      at: saidAt.toISOString(),
    }));
  }

  /** Sets without figures. Sets on an unreadable pattern version are left to that version's entry. */
  private async sets(clubId: string, broken: ReadonlySet<string>): Promise<UnreadableReply[]> {
    const rows = await this.em.execute<
      (SetRow & { pattern_id: string; pattern_version: number })[]
    >(
      `select s.id, a.name as athlete, s.started_at, s.pattern_id, s.pattern_version
       from drill_set s join athlete a on a.club_id = s.club_id and a.id = s.athlete_id
         ${keptBeside('id')}
       where s.club_id = ? and f.id is null
       order by s.started_at`,
      [clubId, clubId],
    );
    const asked = rows.filter(
      ({ pattern_id, pattern_version }) => !broken.has(`${pattern_id} ${pattern_version}`),
    );
    const found = await this.figures.of(
      clubId,
      asked.map(({ id }) => id),
    );
    return asked
      .filter(({ id }) => !found.has(id))
      .map(({ id, athlete, started_at }) => ({
        ...{ kind: 'set' as const, id, version: null, athlete, sets: 1 },
        at: new Date(started_at).toISOString(),
      }));
  }
}
