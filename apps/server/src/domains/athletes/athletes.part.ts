import { date, insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { Athlete } from './athlete.entity.js';
import { aboutAthlete, athleteReply } from './athletes.service.js';

export const athletesPart: ClubPart<'athletes'> = {
  list: 'athletes',
  take: (em, clubId, whose) =>
    mapped(pages(em, Athlete, clubId, 'id', whose), (athlete) => ({
      ...athleteReply(athlete),
      ...aboutAthlete(athlete),
      ageBand: athlete.ageBand,
      archivedAt: athlete.archivedAt?.toISOString() ?? null,
      simulated: athlete.simulated,
    })),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      Athlete,
      clubId,
      rows.map(({ simulated = null, note = null, watched, ...row }) => ({
        ...{ ...row, note, simulated, watched: watched ?? [] },
        archivedAt: date(row.archivedAt),
      })),
    ),
  concerns: 'id = ?',
  names: { patternId: 'patterns' },
};
