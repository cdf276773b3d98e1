import type { PatternLineReply, SquadLineReply } from '@orthokin/contract';
import { isFor, ROUTES } from '@orthokin/contract/routes';
import type { Role } from '@orthokin/core/people';
import { keepReply, keptReply } from '../device/kept-replies.js';
import { call, Refused } from './client.js';

/** Parallel requests: as many as a page sends, so that nobody else has to wait. */
const AT_ONCE = 2;

/** What was loaded last time, so that only changes are loaded again. */
interface Before {
  readonly athletes: Readonly<Record<string, string>>;
  readonly patterns: Readonly<Record<string, number>>;
}

const NOTHING: Before = { athletes: {}, patterns: {} };
const beforePath = (clubId: string): string => `ahead/${clubId}`;

/** Requests about the club as a whole, sent each time. */
const OF_CLUB = [
  ...[ROUTES.people, ROUTES.plans, ROUTES.groups, ROUTES.programmes, ROUTES.heldSessions],
  ...[ROUTES.sessionNotes, ROUTES.homePractice, ROUTES.standings, ROUTES.faultsLately],
];

type Ask = () => Promise<unknown>;

/**
 * Loads what a club's pages show, so that they open offline. The squad's lines and the library tell which athletes
 * and patterns have changed.
 * @returns whether everything was loaded
 */
export async function keepAhead(clubId: string, role: Role, signal: AbortSignal): Promise<boolean> {
  const may = (route: { readonly may: Parameters<typeof isFor>[0]['may'] }) => isFor(route, role);
  const before = ((await keptReply(beforePath(clubId)))?.reply as Before | undefined) ?? NOTHING;
  // Replies are stored per person, so that has to be known first.
  await call(ROUTES.me, {});
  await call(ROUTES.clubs, {});
  const squad = may(ROUTES.squad) ? await call(ROUTES.squad, { clubId }) : [];
  const patterns = may(ROUTES.library) ? await call(ROUTES.library, { clubId }) : [];
  const athletes = Object.fromEntries(
    squad.map((line) => [line.athlete.id, JSON.stringify(line)] as const),
  );
  const asks: Ask[] = [
    ...OF_CLUB.filter(may).map(
      (route) => () => call<string, undefined, undefined, unknown>(route, { clubId }),
    ),
    ...patterns
      .filter(({ id, version }) => before.patterns[id] !== version)
      .map(
        ({ id: patternId }) =>
          () =>
            call(ROUTES.pattern, { clubId, patternId }),
      ),
    ...(may(ROUTES.ladder) ? laddersOf(clubId, squad, before, athletes, patterns) : []),
    ...squad
      .filter(({ athlete }) => before.athletes[athlete.id] !== athletes[athlete.id])
      .flatMap((line) => asksOf(clubId, line, may)),
  ];
  if (!(await allOf(asks, signal))) return false;
  await keepReply(beforePath(clubId), {
    athletes,
    patterns: Object.fromEntries(patterns.map(({ id, version }) => [id, version])),
  } satisfies Before);
  return true;
}

/** Whether a club was loaded completely at least once. */
export const isKeptAhead = async (clubId: string): Promise<boolean> =>
  (await keptReply(beforePath(clubId))) !== null;

/** Ladders of athletes whose line has changed, and ladders not stored yet. */
function laddersOf(
  clubId: string,
  squad: readonly SquadLineReply[],
  before: Before,
  athletes: Before['athletes'],
  patterns: readonly PatternLineReply[],
): Ask[] {
  const moved = new Set(
    squad
      .filter(({ athlete }) => before.athletes[athlete.id] !== athletes[athlete.id])
      .map(({ patternId }) => patternId),
  );
  return patterns
    .filter(({ id, version }) => moved.has(id) || before.patterns[id] !== version)
    .map(
      ({ id: patternId }) =>
        () =>
          call(ROUTES.ladder, { clubId, patternId }),
    );
}

/** The requests about one athlete. */
function asksOf(
  clubId: string,
  { athlete, patternId, lastSet }: SquadLineReply,
  may: (route: (typeof ROUTES)[keyof typeof ROUTES]) => boolean,
): Ask[] {
  const { id: athleteId } = athlete;
  const setId = lastSet?.id;
  return [
    () => call(ROUTES.drillSetup, { clubId, athleteId }),
    ...(may(ROUTES.athleteCare) ? [() => call(ROUTES.athleteCare, { clubId, athleteId })] : []),
    ...(may(ROUTES.course) ? [() => call(ROUTES.course, { clubId, athleteId })] : []),
    ...(may(ROUTES.athleteLadder)
      ? [() => call(ROUTES.athleteLadder, { clubId, patternId, athleteId })]
      : []),
    ...(setId && may(ROUTES.review) ? [() => call(ROUTES.review, { clubId, setId })] : []),
  ];
}

/**
 * Sends requests, some at a time.
 * @returns whether each was answered; a refusal is an answer, since it would be repeated
 */
async function allOf(asks: readonly Ask[], signal: AbortSignal): Promise<boolean> {
  const waiting = [...asks];
  const failed: unknown[] = [];
  const work = async () => {
    for (let ask = waiting.shift(); ask && !signal.aborted; ask = waiting.shift())
      await ask().catch((error: unknown) => error instanceof Refused || failed.push(error));
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  return failed.length === 0 && !signal.aborted;
}
