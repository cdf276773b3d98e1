import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { Plan } from './plan.entity.js';

export const plansPart: ClubPart<'plans'> = {
  list: 'plans',
  take: (em, clubId) =>
    mapped(
      pages(em, Plan, clubId),
      ({ id, name, day, startsAt, minutes, athleteIds, blocks, revision }) => ({
        ...{ id, name, day, startsAt, minutes, athleteIds, blocks, revision },
      }),
    ),
  bring: (em, clubId, rows) => insertAll(em, Plan, clubId, rows),
  names: {},
};
