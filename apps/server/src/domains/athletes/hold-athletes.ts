import type { EntityManager } from '@mikro-orm/postgresql';
import { unknown } from '../../platform/http/refusals.js';

/** An athlete and the number of changes, so far, to what derived data about them depends on. */
export interface CountedAthlete {
  readonly id: string;
  readonly changes: number;
}

const idsOf = (athleteIds: readonly string[]): string => `{${athleteIds.join(',')}}`;

/**
 * Athletes with their change counts. They can change meanwhile: `for key share` holds up deleting them only. It is
 * there because a standby refuses it, and what is going to be cached must be worked out on the leader.
 * @returns those that exist
 */
export const asCounted = (
  em: EntityManager,
  clubId: string,
  athleteIds: readonly string[],
): Promise<CountedAthlete[]> =>
  em.execute<CountedAthlete[]>(
    `select id, changes from athlete where club_id = ? and id = any (?::uuid[]) for key share`,
    [clubId, idsOf(athleteIds)],
  );

/**
 * Locks those athletes that have not changed since they were counted.
 * @returns their ids
 */
export async function holdUnchanged(
  em: EntityManager,
  clubId: string,
  athletes: readonly CountedAthlete[],
): Promise<string[]> {
  // Always ordered by id: transactions that lock several athletes queue up instead of deadlocking.
  const held = await em.execute<{ id: string }[]>(
    `select a.id from athlete a
     join jsonb_to_recordset(?::jsonb) as counted (id uuid, changes int) using (id, changes)
     where a.club_id = ? order by a.id for no key update of a`,
    [JSON.stringify(athletes), clubId],
  );
  return held.map(({ id }) => id);
}

/**
 * Locks an athlete until the end of the transaction. Whoever adds to an athlete's record calls this first, so that
 * nothing is cached meanwhile that would miss it. Foreign keys to the athlete are not blocked.
 * @throws if the athlete does not exist
 */
export async function holdAthlete(
  em: EntityManager,
  clubId: string,
  athleteId: string,
): Promise<void> {
  const found = await em.execute<object[]>(
    'select 1 from athlete where club_id = ? and id = ? for no key update',
    [clubId, athleteId],
  );
  if (found.length === 0) throw unknown('athleteId', athleteId, 'an athlete');
}

/** Counts a change for some athletes, or for all of a club, and locks them until the end of the transaction. */
export async function countChange(
  em: EntityManager,
  clubId: string,
  athleteIds: readonly string[] | 'all',
): Promise<void> {
  // Ordered by id, like every lock on several athletes.
  await em.execute(
    `with held as (
       select id from athlete where club_id = ? ${athleteIds === 'all' ? '' : 'and id = any (?::uuid[])'}
       order by id for no key update)
     update athlete a set changes = a.changes + 1 from held where a.club_id = ? and a.id = held.id`,
    [clubId, ...(athleteIds === 'all' ? [] : [idsOf(athleteIds)]), clubId],
  );
}
