import type { EntityManager } from '@mikro-orm/postgresql';
import { insertAll, mapped, offLists, offTitles, pages, type ClubPart } from '../club-part.js';
import { Plan } from './plan.entity.js';
import { ProgrammeRow } from './programme.entity.js';

export const plansPart: ClubPart<'plans'> = {
  list: 'plans',
  take: (em, clubId, whose) =>
    mapped(
      pages(em, Plan, clubId, 'id', whose),
      ({ id, name, day, startsAt, minutes, athleteIds, blocks, programmeId, revision }) => ({
        ...{ id, name, day, startsAt, minutes, athleteIds, blocks, programmeId, revision },
      }),
    ),
  bring: (em, clubId, rows) => insertAll(em, Plan, clubId, rows),
  async forget(em, clubId, athleteId) {
    await offLists('plan')(em, clubId, athleteId);
    await offBlocks(em, clubId, athleteId);
    await offTitles('plan')(em, clubId, athleteId);
  },
  concerns: 'athlete_ids @> jsonb_build_array(?::text)',
  names: {},
};

export const programmesPart: ClubPart<'programmes'> = {
  list: 'programmes',
  take: (em, clubId, whose) =>
    mapped(
      pages(em, ProgrammeRow, clubId, 'id', whose),
      ({ id, name, startsOn, athleteIds, weeks, revision }) => ({
        ...{ id, name, startsOn, athleteIds, weeks, revision },
      }),
    ),
  bring: (em, clubId, rows) => insertAll(em, ProgrammeRow, clubId, rows),
  forget: offLists('programme'),
  concerns: 'athlete_ids @> jsonb_build_array(?::text)',
  names: {},
};

/** Removes an athlete from the blocks they do, and from the stations they stay at. */
const offBlocks = (em: EntityManager, clubId: string, athleteId: string): Promise<unknown> =>
  em.execute(
    `update plan set blocks = (
       select jsonb_agg(
         block
         || case when jsonb_typeof(block->'who') = 'array'
              then jsonb_build_object('who', (block->'who') - ?) else '{}' end
         || case when jsonb_typeof(block->'stays') = 'array'
              then jsonb_build_object('stays', (
                select coalesce(jsonb_agg(stay), '[]') from jsonb_array_elements(block->'stays') stay
                where stay->>'athleteId' <> ?)) else '{}' end
         order by place)
       from jsonb_array_elements(blocks) with ordinality as each (block, place))
     where club_id = ? and blocks::text like ?`,
    [athleteId, athleteId, clubId, `%${athleteId}%`],
  );
