import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { TrainingGroup } from './training-group.entity.js';

export const groupsPart: ClubPart<'groups'> = {
  list: 'groups',
  take: (em, clubId) =>
    mapped(pages(em, TrainingGroup, clubId), ({ id, name, athleteIds }) => ({
      ...{ id, name },
      athleteIds: [...athleteIds],
    })),
  bring: (em, clubId, rows) => insertAll(em, TrainingGroup, clubId, rows),
  names: {},
};
