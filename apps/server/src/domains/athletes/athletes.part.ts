import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { Athlete } from './athlete.entity.js';
import { athleteReply } from './athletes.service.js';

export const athletesPart: ClubPart<'athletes'> = {
  list: 'athletes',
  take: (em, clubId) =>
    mapped(pages(em, Athlete, clubId), (athlete) => ({
      ...athleteReply(athlete),
      patternId: athlete.patternId,
      simulated: athlete.simulated,
    })),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      Athlete,
      clubId,
      rows.map(({ simulated = null, note = null, ...row }) => ({ ...row, note, simulated })),
    ),
  names: { patternId: 'patterns' },
};
