import { insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { HomePractice } from './home-practice.entity.js';
import { practiceReply } from './practice.service.js';

export const homePracticePart: ClubPart<'homePractice'> = {
  list: 'homePractice',
  take: (em, clubId, whose) => mapped(pages(em, HomePractice, clubId, 'id', whose), practiceReply),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      HomePractice,
      clubId,
      rows.map((row) => ({
        ...row,
        ...{ checks: row.checks ?? null, writtenAt: new Date(row.writtenAt) },
      })),
    ),
  concerns: 'athlete_id = ?',
  names: { athleteId: 'athletes' },
};
