import type { EntityManager } from '@mikro-orm/postgresql';

/** Removes a deleted athlete from all accounts and invitations, and signs out devices that could see only them. */
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

/** Signs out all devices of a deleted club. */
export async function signEverybodyOut(em: EntityManager, clubId: string): Promise<void> {
  await em.execute(`delete from web_session where sess #>> '{signedIn,clubId}' = ?`, [clubId]);
}
