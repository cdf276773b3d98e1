import { isDeepStrictEqual } from 'node:util';
import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { PatternBody, PatternLineReply, PatternReply } from '@orthokin/contract';
import { checkPattern, rungOf, type Pattern, type Rung } from '@orthokin/core/pattern';
import { accepted, conflict, unknown } from '../../platform/http/refusals.js';
import { plain } from '../../platform/storage/plain.js';
import { Changes } from '../changes.js';
import { PatternVersion } from './pattern-version.entity.js';
import { PatternRow } from './pattern.entity.js';
import { VersionBodies, type VersionHead } from './version-bodies.js';

@Injectable()
export class PatternsService {
  private readonly bodies = new VersionBodies();

  constructor(
    private readonly em: EntityManager,
    private readonly changes: Changes,
  ) {}

  /** The newest version of a pattern. */
  async newest(clubId: string, patternId: string): Promise<PatternVersion> {
    const heads = await this.em.execute<VersionHead[]>(
      `select pattern_id, version, saved_at from pattern_version
       where club_id = ? and pattern_id = ? order by version desc limit 1`,
      [clubId, patternId],
    );
    const [newest] = await this.bodies.of(this.em, clubId, heads);
    if (!newest) throw unknown('patternId', patternId, 'a pattern');
    return newest;
  }

  async version(clubId: string, patternId: string, version: number): Promise<PatternVersion> {
    const saved = (await this.versions(clubId, [{ patternId, version }])).get(
      versionKey({ patternId, version }),
    );
    if (saved) return saved;
    const { version: newest } = await this.newest(clubId, patternId);
    throw unknown('version', String(version), `a version of this pattern (1 to ${newest})`);
  }

  /** Versions by {@link versionKey}; those that do not exist are left out. */
  async versions(
    clubId: string,
    wanted: readonly { readonly patternId: string; readonly version: number }[],
  ): Promise<ReadonlyMap<string, PatternVersion>> {
    const keys = [...new Map(wanted.map((each) => [versionKey(each), each])).values()];
    if (keys.length === 0) return new Map();
    const heads = await this.em.execute<VersionHead[]>(
      `select v.pattern_id, v.version, v.saved_at from pattern_version v
       join unnest(?::uuid[], ?::int[]) as wanted (pattern_id, version) using (pattern_id, version)
       where v.club_id = ?`,
      [
        `{${keys.map(({ patternId }) => patternId).join(',')}}`,
        `{${keys.map(({ version }) => version).join(',')}}`,
        clubId,
      ],
    );
    const found = await this.bodies.of(this.em, clubId, heads);
    return new Map(found.map((each) => [versionKey(each), each]));
  }

  /** The newest version of each pattern of the club, by pattern id. */
  async all(clubId: string): Promise<Map<string, PatternVersion>> {
    const heads = await this.em.execute<VersionHead[]>(
      `select distinct on (pattern_id) pattern_id, version, saved_at from pattern_version
       where club_id = ? order by pattern_id, version desc`,
      [clubId],
    );
    const newest = await this.bodies.of(this.em, clubId, heads);
    return new Map(newest.map((version) => [version.patternId, version]));
  }

  /** The newest version's number of each pattern of the club, by pattern id. */
  async newestVersions(clubId: string): Promise<ReadonlyMap<string, number>> {
    const rows = await this.em.execute<{ pattern_id: string; version: number }[]>(
      `select pattern_id, max(version) as version from pattern_version
       where club_id = ? group by pattern_id`,
      [clubId],
    );
    return new Map(rows.map(({ pattern_id, version }) => [pattern_id, version]));
  }

  /** The club's library, archived patterns included. */
  async library(clubId: string): Promise<PatternLineReply[]> {
    const [newest, rows, counts] = await Promise.all([
      this.all(clubId),
      this.em.find(PatternRow, { clubId }),
      this.em.execute<{ pattern_id: string; sets: number }[]>(
        `select pattern_id, count(*)::int as sets from drill_set where club_id = ? group by 1`,
        [clubId],
      ),
    ]);
    const sets = new Map(counts.map((row) => [row.pattern_id, row.sets]));
    return rows.flatMap(({ id, archivedAt }) => {
      const saved = newest.get(id);
      if (!saved) return [];
      return [
        {
          id,
          version: saved.version,
          savedAt: saved.savedAt.toISOString(),
          archived: archivedAt !== null,
          sets: sets.get(id) ?? 0,
          pattern: saved.body as PatternBody,
        },
      ];
    });
  }

  /**
   * Saves a pattern as its next version. Sending the same again changes nothing; if somebody else has saved that
   * version meanwhile the request is refused.
   */
  async save(
    clubId: string,
    patternId: string,
    version: number,
    body: PatternBody,
  ): Promise<PatternReply> {
    accepted(checkPattern(body));
    return this.em.transactional(async (em) => {
      await em
        .createQueryBuilder(PatternRow)
        .insert({ clubId, id: patternId, archivedAt: null })
        .onConflict(['clubId', 'id'])
        .ignore()
        .execute('run');
      // Locks the pattern, so that versions are numbered without gaps.
      await em.findOneOrFail(
        PatternRow,
        { clubId, id: patternId },
        { lockMode: LockMode.PESSIMISTIC_WRITE },
      );
      const [newest] = await em.find(
        PatternVersion,
        { clubId, patternId },
        { orderBy: { version: 'desc' }, limit: 1 },
      );
      const next = (newest?.version ?? 0) + 1;
      if (version !== next) {
        const stored = await em.findOne(PatternVersion, { clubId, patternId, version });
        if (!stored || !isDeepStrictEqual(plain(stored.body), plain(body)))
          throw conflict('version', String(version), `${next}: newer than what is saved already`);
        return versionReply(stored);
      }
      const saved = { clubId, patternId, version, body, savedAt: new Date() };
      await em.insert(PatternVersion, saved);
      await this.changes.tell(em, { of: 'pattern', clubId, patternId });
      return versionReply(saved);
    });
  }

  async archive(clubId: string, patternId: string, archived: boolean): Promise<void> {
    const found = await this.em.nativeUpdate(
      PatternRow,
      { clubId, id: patternId },
      { archivedAt: archived ? new Date() : null },
    );
    if (found === 0) throw unknown('patternId', patternId, 'a pattern');
  }
}

/** The key of a version in maps. */
export const versionKey = ({
  patternId,
  version,
}: Pick<PatternVersion, 'patternId' | 'version'>): string => `${patternId} ${version}`;

/** A rung that a stored row refers to; it was validated with the row. */
export function storedRung(pattern: Pattern, number: number): Rung {
  const rung = rungOf(pattern, number);
  if (!rung) throw new Error(`Pattern ${pattern.name} has no rung ${number}.`);
  return rung;
}

/** The rung an athlete has reached, or the highest if this version has fewer rungs. */
export const reachedRung = (pattern: Pattern, reached: number): Rung =>
  storedRung(pattern, Math.min(reached, pattern.rungs.length));

export const versionReply = ({
  patternId,
  version,
  body,
}: Pick<PatternVersion, 'patternId' | 'version' | 'body'>): PatternReply =>
  // A stored body is what the contract class describes, except that its type is readonly.
  ({ ...body, id: patternId, version }) as PatternReply;
