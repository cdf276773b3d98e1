import { insertAll, mapped, offLists, pages, type ClubPart } from '../club-part.js';
import { TrainingGroup } from './training-group.entity.js';

export const groupsPart: ClubPart<'groups'> = {
  list: 'groups',
  take: (em, clubId, whose) =>
    mapped(pages(em, TrainingGroup, clubId, 'id', whose), ({ id, name, athleteIds }) => ({
      ...{ id, name },
      athleteIds: [...athleteIds],
    })),
  bring: (em, clubId, rows) => insertAll(em, TrainingGroup, clubId, rows),
  forget: offLists('training_group'),
  concerns: 'athlete_ids @> jsonb_build_array(?::text)',
  names: {},
};
