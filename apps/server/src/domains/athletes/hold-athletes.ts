import type { EntityManager } from '@mikro-orm/postgresql';
import { unknown } from '../../platform/http/refusals.js';

/** An athlete as they were counted: how many changes there were of what they did and how it is judged. */
export interface CountedAthlete {
  readonly id: string;
  readonly changes: number;
}

const idsOf = (athleteIds: readonly string[]): string => `{${athleteIds.join(',')}}`;

/**
 * Athletes with the changes counted so far, none of them held. What has to be written to keep what is worked out of
 * them is not begun on a standby: it refuses this.
 * @returns those that are there
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

/** Holds those of some athletes of whom nothing has changed since they were counted. @returns their ids */
export async function holdUnchanged(
  em: EntityManager,
  clubId: string,
  athletes: readonly CountedAthlete[],
): Promise<string[]> {
  // Always in the same order: two that hold many wait for each other and never both.
  const held = await em.execute<{ id: string }[]>(
    `select a.id from athlete a
     join jsonb_to_recordset(?::jsonb) as counted (id uuid, changes int) using (id, changes)
     where a.club_id = ? order by a.id for no key update of a`,
    [JSON.stringify(athletes), clubId],
  );
  return held.map(({ id }) => id);
}

/**
 * Holds an athlete until the transaction is over. Whoever adds to what an athlete did holds them, so that nothing is
 * kept meanwhile that would miss it. What merely names an athlete is not held up.
 * @throws where they are not there
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

/** Counts a change for some athletes, or for all of a club, and holds them until the transaction is over. */
export async function countChange(
  em: EntityManager,
  clubId: string,
  athleteIds: readonly string[] | 'all',
): Promise<void> {
  // In the order in which whoever else holds many holds them.
  await em.execute(
    `with held as (
       select id from athlete where club_id = ? ${athleteIds === 'all' ? '' : 'and id = any (?::uuid[])'}
       order by id for no key update)
     update athlete a set changes = a.changes + 1 from held where a.club_id = ? and a.id = held.id`,
    [clubId, ...(athleteIds === 'all' ? [] : [idsOf(athleteIds)]), clubId],
  );
}
