import { ROUTES } from '@orthokin/contract/routes';
import type { MeReply } from '@orthokin/contract';
import { keepFor, keepReply, keptReply } from '../device/kept-replies.js';
import { serverAnswers, showsKept } from '../device/without-network.js';

/** A server that is there answers sooner; what is kept is shown until it does. */
const LONGEST_WAIT_MS = 10_000;

/** What is put aside for when there is no network: all that a coach needs at the floor and to plan. */
const KEPT: ReadonlySet<object> = new Set([
  ...[ROUTES.me, ROUTES.clubs, ROUTES.squad, ROUTES.people, ROUTES.groups, ROUTES.athleteCare],
  ...[ROUTES.plans, ROUTES.plan, ROUTES.programmes, ROUTES.loads, ROUTES.homePractice],
  ...[ROUTES.heldSessions, ROUTES.heldSession, ROUTES.sessionSets, ROUTES.sessionNotes],
  ...[ROUTES.library, ROUTES.pattern, ROUTES.patternVersion, ROUTES.faultsLately],
  ...[ROUTES.drillSetup, ROUTES.review, ROUTES.course, ROUTES.athleteReps, ROUTES.standings],
  ...[ROUTES.ladder, ROUTES.athleteLadder, ROUTES.moveEvidence],
]);

export const isKept = (route: object): boolean => KEPT.has(route);

/** Whoever is signed in, told from everybody else. */
const whoIs = ({ signedIn }: MeReply): string =>
  signedIn
    ? [signedIn.clubId, signedIn.role, signedIn.accountId, signedIn.athleteIds].join(' ')
    : 'nobody';

/** Who is signed in, as far as this page has heard; `null` before it has. */
let who: string | null = null;

/** Somebody else is signed in, or nobody: nothing is kept for them yet. */
export async function keptIsOf(me: MeReply): Promise<void> {
  who = whoIs(me);
  await keepFor(who);
}

/** A reply has come: it is put aside for whoever asked, if they are still the one who is signed in. */
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

/** Asks the server, and where it does not answer what was put aside of its last answer. */
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
    // Should it answer after all, nobody waits for it any more.
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
