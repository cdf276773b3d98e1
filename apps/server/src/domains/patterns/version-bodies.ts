import type { EntityManager } from '@mikro-orm/postgresql';
import { PatternBody } from '@orthokin/contract';
import { checkPattern, type Pattern } from '@orthokin/core/pattern';
import { LRUCache } from 'lru-cache';
import { shapeProblems } from '../../platform/http/shape.js';
import type { PatternVersion } from './pattern-version.entity.js';

/** What identifies a version, for looking up its body. */
export interface VersionHead {
  readonly pattern_id: string;
  readonly version: number;
  readonly saved_at: string;
}

/** Rows were valid when they were written, but somebody may have edited the database directly. */
function isReadable(body: Pattern): boolean {
  try {
    return shapeProblems(PatternBody, body).length === 0 && checkPattern(body).ok;
  } catch {
    return false;
  }
}

/** Some hundred bodies are a few megabytes. */
const MOST_KEPT = 300;

/**
 * A cache of version bodies in this process: a version never changes, and reading one costs more than the rest of a
 * page. The key includes when it was saved, so a club that was deleted and imported again is read anew; a deleted
 * version is never looked up, because its head is read from the database each time.
 */
export class VersionBodies {
  private readonly kept = new LRUCache<string, Pattern>({ max: MOST_KEPT });

  /** The versions of some heads, in order; unreadable ones are left out. */
  async of(
    em: EntityManager,
    clubId: string,
    heads: readonly VersionHead[],
  ): Promise<PatternVersion[]> {
    const nameOf = ({ pattern_id, version, saved_at }: VersionHead) =>
      `${clubId} ${pattern_id} ${version} ${new Date(saved_at).getTime()}`;
    const bodies = new Map(heads.map((head) => [head, this.kept.get(nameOf(head))]));
    const missing = heads.filter((head) => !bodies.get(head));
    if (missing.length > 0) {
      const rows = await em.execute<(VersionHead & { readonly body: Pattern })[]>(
        `select v.pattern_id, v.version, v.saved_at, v.body from pattern_version v
         join unnest(?::uuid[], ?::int[]) as wanted (pattern_id, version)
           using (pattern_id, version)
         where v.club_id = ?`,
        [
          `{${missing.map(({ pattern_id }) => pattern_id).join(',')}}`,
          `{${missing.map(({ version }) => version).join(',')}}`,
          clubId,
        ],
      );
      for (const { body, ...head } of rows) if (isReadable(body)) this.kept.set(nameOf(head), body);
      for (const head of missing) bodies.set(head, this.kept.get(nameOf(head)));
    }
    return heads.flatMap((head) => {
      const body = bodies.get(head);
      if (!body) return [];
      const { pattern_id: patternId, version, saved_at } = head;
      return [{ clubId, patternId, version, body, savedAt: new Date(saved_at) }];
    });
  }
}
