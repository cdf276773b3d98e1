import type { EntityManager } from '@mikro-orm/postgresql';
import { unknown } from '../../platform/http/refusals.js';

/** An athlete held until the transaction is over, and the pattern they were given to work on. */
export interface HeldAthlete {
  readonly id: string;
  readonly patternId: string;
}

/**
 * Holds athletes of a club, or all of them, until the transaction is over. Whoever adds to what an athlete did holds
 * the athlete as well, so that what is worked out meanwhile is never older. Always in the same order: two that hold
 * many wait for each other and never both.
 * @returns those that are there
 */
export const holdAthletes = (
  em: EntityManager,
  clubId: string,
  athleteIds: readonly string[] | 'all',
): Promise<HeldAthlete[]> =>
  em.execute<HeldAthlete[]>(
    `select id, pattern_id as "patternId" from athlete
     where club_id = ? ${athleteIds === 'all' ? '' : 'and id = any (?::uuid[])'}
     order by id for update`,
    [clubId, ...(athleteIds === 'all' ? [] : [`{${athleteIds.join(',')}}`])],
  );

/** Holds one athlete until the transaction is over. @throws where they are not there */
export async function holdAthlete(
  em: EntityManager,
  clubId: string,
  athleteId: string,
): Promise<void> {
  const [found] = await holdAthletes(em, clubId, [athleteId]);
  if (!found) throw unknown('athleteId', athleteId, 'an athlete');
}
