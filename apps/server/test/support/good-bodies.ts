import type { SquadLineReply } from '@orthokin/contract';
import { sixWeeks, usualBlock } from '@orthokin/core/plan';
import { USUAL_LADDER } from '@orthokin/core/progress';
import { v7 } from 'uuid';
import { setOf } from './sets.js';

export type Json = null | boolean | number | string | Json[] | { [name: string]: Json };

/** A good body for each class that is taken: what is tried is one thing wrong in it. */
export function goodBodies(line: SquadLineReply): Record<string, Record<string, Json>> {
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  const now = new Date().toISOString();
  const { id: patternId, athleteId } = { id: line.patternId, athleteId: line.athlete.id };
  const plain = (value: object) => JSON.parse(JSON.stringify(value)) as Record<string, Json>;
  return {
    DrillSetBody: plain(set.body),
    RepBody: plain({
      ...set.reps[0]?.body,
      marks: {
        lateRight: true,
        checked: { held: 2, of: 3 },
        coachEvents: [{ name: 'prepared', atMs: 5300, sdMs: 8, source: 'film' }],
      },
    }),
    SetEndBody: { endedAt: now, reason: 'completed' },
    SetNoteBody: {
      setId: set.id,
      text: 'Windy.',
      writtenBy: 'Mara',
      writtenAt: now,
      removed: false,
    },
    LadderBody: plain({ patternId, savedAt: now, settings: USUAL_LADDER }),
    OwnLadderBody: plain({
      ...{ athleteId, patternId, savedAt: now },
      limits: [
        { rung: 1, limitsMs: { reaction: 300 }, limitSources: { reaction: { kind: 'coach' } } },
      ],
    }),
    RungMoveBody: {
      ...{ athleteId, patternId, fromRung: line.rung, toRung: line.rung + 1 },
      ...{ basis: 'hand', setId: null, movedAt: now },
    },
    ArchivedBody: { archived: false },
    ClubBody: {
      ...{ name: 'Another club', sport: 'squash', unit: 'metres' },
      faults: [{ fault: 'lean', name: 'tipping', say: 'Even.', mend: 'Freeze calls.' }],
    },
    GatewaysBody: plain({ addresses: ['ws://192.168.1.20:4320', 'wss://gate.local'] }),
    AthleteBody: {
      ...{ name: 'Somebody', hand: 'left', ageBand: 'adult', colourVision: 'full', patternId },
      ...{ bornOn: '1999-05-04', heightM: 1.7, goal: 'Home sooner.' },
    },
    AthletesBody: {
      athletes: [
        {
          ...{ id: v7(), name: 'One more', hand: 'left', ageBand: 'adult' },
          ...{ colourVision: 'full', patternId },
        },
      ],
    },
    CareBody: {
      ...{ athleteId, kind: 'restriction', by: 'Mara', at: now },
      restriction: {
        ...{ kind: 'only what is listed', leg: null, moves: ['run'], most: null },
        ...{ from: '2026-03-01', until: '2026-03-09', clinician: false, note: 'Ankle.' },
      },
    },
    WatchedBody: { watched: ['lean'] },
    WorksOnBody: { patternId },
    GroupBody: { name: 'Juniors', athleteIds: [athleteId] },
    PlanBody: {
      ...{ name: 'Thursday', day: '2026-03-05', startsAt: '17:00', minutes: 60 },
      ...{ athleteIds: [athleteId], blocks: [plain(usualBlock(v7(), 'cued drill'))], revision: 1 },
    },
    ProgrammeBody: {
      ...{ name: 'Autumn', startsOn: '2026-03-02', athleteIds: [athleteId], revision: 1 },
      weeks: plain(sixWeeks().slice(0, 1)),
    },
    HeldSessionBody: {
      ...{ planId: v7(), name: 'Thursday', day: now.slice(0, 10), startedAt: now, endedAt: now },
      blocks: [{ blockId: v7(), kind: 'play', title: 'Play', startedAt: now, endedAt: now }],
      attended: [{ athleteId, minutes: 60, effort: 5, scores: [{ blockId: v7(), count: 3 }] }],
    },
    SessionNoteBody: {
      ...{ sessionId: v7(), day: '2026-03-05', athleteId, fault: 'lean', text: 'Early.' },
      ...{ writtenBy: 'Mara', writtenAt: now, removed: false },
    },
    HomePracticeBody: {
      ...{ athleteId, day: '2026-03-05', minutes: 15, effort: 4, text: 'Left is slow.' },
      ...{ writtenAt: now, removed: false },
    },
    WipeBody: { name: 'not its name' },
    ErasureBody: { how: 'nameless' },
    KeepingBody: { keepYears: 3 },
    ImportBody: plain({
      sets: [{ id: set.id, body: set.body, endedAt: now, reps: set.reps }],
    }),
  };
}
