import { date, handedOver, insertAll, mapped, pages, type ClubPart } from '../club-part.js';
import { Ladder } from './ladder.entity.js';
import { OwnLadder } from './own-ladder.entity.js';
import { moveReply } from './progress.service.js';
import { RungMove } from './rung-move.entity.js';

/** Replaces the reason of a move, which may name somebody who was erased. */
const NO_REASON = '–';

export const movesPart: ClubPart<'moves'> = {
  list: 'moves',
  take: (em, clubId, whose) =>
    mapped(pages(em, RungMove, clubId, 'seq', whose), (move) => ({
      ...moveReply(move),
      evidence: move.evidence,
    })),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      RungMove,
      clubId,
      rows.map(({ reason = null, movedBy = null, decision = null, evidence = null, ...move }) => ({
        ...{ ...move, reason, movedBy, decision, evidence },
        onDevice: move.onDevice ?? false,
        movedAt: date(move.movedAt),
      })),
    ),
  concerns: 'athlete_id = ?',
  async bequeath(em, clubId, athleteId, heir) {
    await em.execute(
      `update rung_move set athlete_id = ?, reason = case when reason is null then null else ? end
       where club_id = ? and athlete_id = ?`,
      [heir, NO_REASON, clubId, athleteId],
    );
  },
  names: { athleteId: 'athletes', patternId: 'patterns', setId: 'sets' },
};

export const laddersPart: ClubPart<'ladders'> = {
  list: 'ladders',
  take: (em, clubId) =>
    mapped(pages(em, Ladder, clubId, 'seq'), ({ id, patternId, savedAt, settings }) => ({
      ...{ id, patternId, savedAt: savedAt.toISOString(), settings },
    })),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      Ladder,
      clubId,
      rows.map((row) => ({ ...row, savedAt: date(row.savedAt) })),
    ),
  concerns: null,
  names: { patternId: 'patterns' },
};

export const ownLaddersPart: ClubPart<'ownLadders'> = {
  list: 'ownLadders',
  take: (em, clubId, whose) =>
    mapped(
      pages(em, OwnLadder, clubId, 'seq', whose),
      ({ id, athleteId, patternId, savedAt, limits }) => ({
        ...{ id, athleteId, patternId, savedAt: savedAt.toISOString(), limits },
      }),
    ),
  bring: (em, clubId, rows) =>
    insertAll(
      em,
      OwnLadder,
      clubId,
      rows.map((row) => ({ ...row, savedAt: date(row.savedAt) })),
    ),
  concerns: 'athlete_id = ?',
  bequeath: handedOver('own_ladder'),
  names: { athleteId: 'athletes', patternId: 'patterns' },
};
