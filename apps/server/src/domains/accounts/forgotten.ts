import type { EntityManager } from '@mikro-orm/postgresql';

/** Takes an athlete who is deleted out of whatever lets somebody see them; devices that did are signed out. */
export async function letNobodySee(
  em: EntityManager,
  clubId: string,
  athleteId: string,
): Promise<void> {
  for (const table of ['account', 'invitation'])
    await em.execute(
      `update ${table} set athlete_ids = athlete_ids - ?
       where club_id = ? and athlete_ids @> jsonb_build_array(?::text)`,
      [athleteId, clubId, athleteId],
    );
  await em.execute(
    `delete from web_session where sess #>> '{signedIn,clubId}' = ?
       and sess::jsonb #> '{signedIn,athleteIds}' @> jsonb_build_array(?::text)`,
    [clubId, athleteId],
  );
}

/** Signs every device of a club out: there is nothing left to be signed in to. */
export async function signEverybodyOut(em: EntityManager, clubId: string): Promise<void> {
  await em.execute(`delete from web_session where sess #>> '{signedIn,clubId}' = ?`, [clubId]);
}
