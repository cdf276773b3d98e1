import { ROUTES } from '@orthokin/contract/routes';
import type { MeReply } from '@orthokin/contract';
import { keepFor, keepReply, keptReply } from '../device/kept-replies.js';
import { serverAnswers, showsKept } from '../device/without-network.js';

/** A working server answers sooner; otherwise the stored reply is shown until it does. */
const LONGEST_WAIT_MS = 10_000;

/** Routes whose replies are stored for use offline: what a coach needs at the floor and for planning. */
const KEPT: ReadonlySet<object> = new Set([
  ...[ROUTES.me, ROUTES.clubs, ROUTES.squad, ROUTES.people, ROUTES.groups, ROUTES.athleteCare],
  ...[ROUTES.plans, ROUTES.plan, ROUTES.programmes, ROUTES.loads, ROUTES.homePractice],
  ...[ROUTES.heldSessions, ROUTES.heldSession, ROUTES.sessionSets, ROUTES.sessionNotes],
  ...[ROUTES.library, ROUTES.pattern, ROUTES.patternVersion, ROUTES.faultsLately],
  ...[ROUTES.drillSetup, ROUTES.review, ROUTES.course, ROUTES.athleteReps, ROUTES.standings],
  ...[ROUTES.ladder, ROUTES.athleteLadder, ROUTES.moveEvidence],
]);

export const isKept = (route: object): boolean => KEPT.has(route);

/** Identifies a signed-in person on this device. */
const whoIs = ({ signedIn }: MeReply): string =>
  signedIn
    ? [signedIn.clubId, signedIn.role, signedIn.accountId, signedIn.athleteIds].join(' ')
    : 'nobody';

/** The signed-in person; `null` until known. */
let who: string | null = null;

/** Drops stored replies if somebody else, or nobody, is signed in now. */
export async function keptIsOf(me: MeReply): Promise<void> {
  who = whoIs(me);
  await keepFor(who);
}

/** Stores a reply for whoever asked, if they are still signed in. */
async function putAside(
  route: object,
  path: string,
  reply: unknown,
  askedBy: string | null,
): Promise<void> {
  if (route === ROUTES.me) await keptIsOf(reply as MeReply);
  else if (askedBy !== null && askedBy !== who) return;
  await keepReply(path, reply);
}

/** Asks the server, and falls back to its last stored reply. */
export async function askOrKept(
  route: object,
  path: string,
  ask: () => Promise<unknown>,
  isSilence: (error: unknown) => boolean,
): Promise<unknown> {
  const askedBy = who;
  const asked = ask().then((reply) => {
    serverAnswers();
    void putAside(route, path, reply, askedBy);
    return reply;
  });
  try {
    return await beforeLong(asked);
  } catch (error) {
    if (error !== TOO_LONG && !isSilence(error)) throw error;
    const kept = await keptReply(path);
    if (!kept) return asked;
    // A late reply after the fallback is ignored.
    asked.catch(() => undefined);
    showsKept(kept.at);
    return kept.reply;
  }
}

const TOO_LONG = new Error('too long');

async function beforeLong<Value>(asked: Promise<Value>): Promise<Value> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(TOO_LONG), LONGEST_WAIT_MS);
  });
  try {
    return await Promise.race([asked, late]);
  } finally {
    clearTimeout(timer);
  }
}
