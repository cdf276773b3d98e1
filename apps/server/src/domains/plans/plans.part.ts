import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { Plan } from './plan.entity.js';
import { ProgrammeRow } from './programme.entity.js';

export const plansPart: ClubPart<'plans'> = {
  list: 'plans',
  take: (em, clubId) =>
    mapped(
      pages(em, Plan, clubId),
      ({ id, name, day, startsAt, minutes, athleteIds, blocks, programmeId, revision }) => ({
        ...{ id, name, day, startsAt, minutes, athleteIds, blocks, programmeId, revision },
      }),
    ),
  bring: (em, clubId, rows) => insertAll(em, Plan, clubId, rows),
  names: {},
};

export const programmesPart: ClubPart<'programmes'> = {
  list: 'programmes',
  take: (em, clubId) =>
    mapped(
      pages(em, ProgrammeRow, clubId),
      ({ id, name, startsOn, athleteIds, weeks, revision }) => ({
        ...{ id, name, startsOn, athleteIds, weeks, revision },
      }),
    ),
  bring: (em, clubId, rows) => insertAll(em, ProgrammeRow, clubId, rows),
  names: {},
};
