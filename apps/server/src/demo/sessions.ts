import type { HeldSessionBody, HomePracticeBody, SessionNoteBody } from '@orthokin/contract';
import type { Random } from '@orthokin/core/cue';
import type { BlockKind } from '@orthokin/core/plan';

const COACH = 'Mara Quint';
const NAME = 'Squad, warm-up to play';
const MINUTE_MS = 60_000;
/** Minutes of warm-up before the first set, of play after the last, and of cooling down. */
const [WARM_UP, PLAY, COOL_DOWN] = [15, 15, 5];
/** The athlete whose sessions were hard lately. */
const HARD_LATELY = 'Rafe Lindhollow';
const LATELY_DAYS = 6;

/** The part of a past set that sessions need. */
export interface SetOfDay {
  readonly athleteId: string;
  readonly name: string;
  readonly day: string;
  readonly startedAt: Date;
  readonly endedAt: Date;
}

/** Observations; `back` counts sessions back from the newest. */
const SEEN: readonly (Pick<SessionNoteBody, 'fault' | 'text'> & {
  readonly name: string | null;
  readonly back: number;
})[] = [
  { name: 'Rafe Lindhollow', back: 0, fault: 'short of home', text: '' },
  { name: 'Rafe Lindhollow', back: 0, fault: null, text: 'Looks at the floor, not at the caller.' },
  { name: 'Juno Marlock', back: 0, fault: 'lean', text: '' },
  { name: null, back: 0, fault: null, text: 'Too much talking between turns.' },
  { name: 'Wren Hallowby', back: 1, fault: 'narrow base', text: '' },
];

/** One session per training day, attended by whoever has a set on that day. */
export function pastSessions(
  sets: readonly SetOfDay[],
  { now, random, newId }: { now: Date; random: Random; newId: (at: Date) => string },
): {
  readonly sessions: readonly (HeldSessionBody & { id: string })[];
  readonly notes: readonly (SessionNoteBody & { id: string })[];
} {
  const days = [...new Set(sets.map(({ day }) => day))].sort();
  const sessions = days.map((day): HeldSessionBody & { id: string } => {
    const own = sets.filter((set) => set.day === day);
    const from = Math.min(...own.map(({ startedAt }) => startedAt.getTime()));
    const to = Math.max(...own.map(({ endedAt }) => endedAt.getTime()));
    const isLate = now.getTime() - from < LATELY_DAYS * 24 * 60 * MINUTE_MS;
    const block = (kind: BlockKind, startMs: number, endMs: number) => ({
      ...{ blockId: newId(new Date(startMs)), kind, title: '' },
      ...{ startedAt: new Date(startMs).toISOString(), endedAt: new Date(endMs).toISOString() },
    });
    const startedAt = from - WARM_UP * MINUTE_MS;
    const played = to + PLAY * MINUTE_MS;
    const endedAt = played + COOL_DOWN * MINUTE_MS;
    const there = [...new Map(own.map((set) => [set.athleteId, set.name]))];
    return {
      ...{ id: newId(new Date(endedAt)), planId: null, name: NAME, day },
      ...{
        startedAt: new Date(startedAt).toISOString(),
        endedAt: new Date(endedAt).toISOString(),
      },
      blocks: [
        block('warm-up', startedAt, from),
        block('cued drill', from, to),
        block('play', to, played),
        block('cool-down', played, endedAt),
      ],
      attended: there.map(([athleteId, name]) => ({
        athleteId,
        minutes: Math.round((endedAt - startedAt) / MINUTE_MS),
        effort: isLate && name === HARD_LATELY ? 9 : 4 + Math.floor(3 * random()),
      })),
    };
  });
  const idOf = new Map(sets.map(({ name, athleteId }) => [name, athleteId]));
  const notes = SEEN.flatMap(({ name, back, ...seen }) => {
    const session = sessions.at(-1 - back);
    const athleteId = name === null ? null : idOf.get(name);
    const wasThere = session?.attended.some((one) => one.athleteId === athleteId);
    if (!session || athleteId === undefined || (name !== null && !wasThere)) return [];
    return [
      {
        ...{ id: newId(new Date(session.endedAt)), sessionId: session.id, day: session.day },
        ...{ athleteId, ...seen, writtenBy: COACH, writtenAt: session.endedAt, removed: false },
      },
    ];
  });
  return { sessions, notes };
}

/** Practice at home in the last fortnight: days ago, minutes, effort. */
const AT_HOME: readonly (readonly [
  name: string,
  daysAgo: number,
  minutes: number,
  effort: number,
  text: string,
])[] = [
  ['Amara Quill', 1, 15, 4, 'Against the garage; the left side is still slow.'],
  ['Amara Quill', 3, 12, 4, ''],
  ['Amara Quill', 8, 15, 5, ''],
  ['Wren Hallowby', 2, 10, 3, 'With my brother calling.'],
  ['Juno Marlock', 5, 20, 5, ''],
];

/** Practice at home as athletes recorded it. */
export function pastPractice(
  idOf: ReadonlyMap<string, string>,
  { now, newId }: { now: Date; newId: (at: Date) => string },
): (HomePracticeBody & { id: string })[] {
  return AT_HOME.flatMap(([name, daysAgo, minutes, effort, text]) => {
    const athleteId = idOf.get(name);
    if (athleteId === undefined) return [];
    const at = new Date(now.getTime() - daysAgo * 24 * 60 * MINUTE_MS);
    const [day = ''] = at.toISOString().split('T');
    return [
      {
        ...{ id: newId(at), athleteId, day, minutes, effort, text },
        ...{ writtenAt: at.toISOString(), removed: false },
      },
    ];
  });
}
