import type { ClubList } from '@orthokin/contract';
import { athletesPart } from '../domains/athletes/athletes.part.js';
import { carePart } from '../domains/care/care.part.js';
import type { ClubPart } from '../domains/club-part.js';
import { repsPart, setsPart } from '../domains/drills/drills.part.js';
import { groupsPart } from '../domains/groups/groups.part.js';
import { notesPart } from '../domains/notes/notes.part.js';
import { patternsPart } from '../domains/patterns/patterns.part.js';
import { plansPart, programmesPart } from '../domains/plans/plans.part.js';
import { homePracticePart } from '../domains/practice/practice.part.js';
import { sessionNotesPart, sessionsPart } from '../domains/sessions/sessions.part.js';
import { laddersPart, movesPart, ownLaddersPart } from '../domains/progress/progress.part.js';

/** Each domain's contribution, ordered so that rows only refer to lists before their own. */
export const CLUB_PARTS: { readonly [List in ClubList]: ClubPart<List> } = {
  patterns: patternsPart,
  athletes: athletesPart,
  sets: setsPart,
  reps: repsPart,
  moves: movesPart,
  notes: notesPart,
  ladders: laddersPart,
  ownLadders: ownLaddersPart,
  care: carePart,
  groups: groupsPart,
  plans: plansPart,
  sessions: sessionsPart,
  sessionNotes: sessionNotesPart,
  programmes: programmesPart,
  homePractice: homePracticePart,
};

export const CLUB_LIST_NAMES = Object.keys(CLUB_PARTS) as ClubList[];
