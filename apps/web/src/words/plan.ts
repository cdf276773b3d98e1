import { shortName } from '@orthokin/core/people';
import { LONGEST_BLOCK_NOTE, LONGEST_TITLE } from '@orthokin/core/plan';
import type {
  Block,
  BlockKind,
  DraftReason,
  HelperRole,
  PlanFinding,
  PlayObject,
  Session,
  TemplateName,
  Trained,
} from '@orthokin/core/plan';
import type { Fault } from '@orthokin/core/timing';
import { capital, commaList, dateWords, listWords } from './format.js';
import { plan as en } from './en/plan.js';
import { speaker } from './say.js';

export const say = speaker(en);

const KIND_WORDS: Readonly<Record<BlockKind, string>> = {
  'warm-up': say('warm-up'),
  'readiness checks': say('readiness checks'),
  rehearse: say('rehearse'),
  'reaction game': say('reaction game'),
  'cued drill': say('cued drill'),
  'pattern with action': say('pattern with action'),
  'freeze and look': say('freeze and look'),
  challenge: say('challenge'),
  play: say('play'),
  'game to a score': say('game to a score'),
  conditioning: say('conditioning'),
  'cool-down': say('cool-down'),
  other: say('other'),
};

/** What a kind of block is called. */
export const kindWords = (kind: BlockKind): string => KIND_WORDS[kind];

/** What a block is called: by its own name, else as its kind. */
export const blockName = ({ title, kind }: Pick<Block, 'title' | 'kind'>): string =>
  title || KIND_WORDS[kind];

const ROLE_WORDS: Readonly<Record<HelperRole, string>> = {
  calls: say('calls'),
  feeds: say('feeds'),
  collects: say('collects'),
};
/** What a helper does. */
export const roleWords = (role: HelperRole): string => ROLE_WORDS[role];

const OBJECT_WORDS: Readonly<Record<PlayObject, string>> = {
  none: say('objectNone'),
  balloon: say('objectBalloon'),
  soft: say('objectSoft'),
  match: say('objectMatch'),
};
/** What a block is done with. */
export const objectWords = (object: PlayObject): string => OBJECT_WORDS[object];

const TEMPLATE_WORDS: Readonly<Record<TemplateName, readonly [name: string, means: string]>> = {
  squad: [say('squad'), say('squadMeans')],
  lesson: [say('lesson'), say('lessonMeans')],
  solo: [say('solo'), say('soloMeans')],
  return: [say('return'), say('returnMeans')],
  'match day': [say('match day'), say('match dayMeans')],
};
/** What a template is called, and what it is for. */
export const templateWords = (name: TemplateName): readonly [name: string, means: string] =>
  TEMPLATE_WORDS[name];

/** First names, as many as fit. */
function shortNames(names: readonly string[], inWords: (names: string) => string): string {
  const short = names.map(shortName);
  for (let kept = short.length; kept > 0; kept--) {
    const some = commaList(short.slice(0, kept));
    const more = short.length - kept;
    const words = inWords(more > 0 ? say('andMore', { names: some, more }) : some);
    if (words.length <= LONGEST_TITLE) return words;
  }
  return inWords(String(short.length)).slice(0, LONGEST_TITLE);
}

/** The title and text of a drafted block, by its reason; empty if it has none. */
export function draftWords(
  reason: DraftReason,
  words: {
    readonly nameOf: (athleteId: string) => string;
    readonly faultName: (fault: Fault) => string;
    readonly mendOf: (fault: Fault) => string;
  },
): Partial<Pick<Block, 'title' | 'note'>> {
  if (reason.why === 'as usual') return {};
  const names = reason.athleteIds.map(words.nameOf);
  switch (reason.why) {
    case 'a fault': {
      const fault = capital(words.faultName(reason.fault));
      return {
        title: shortNames(names, (some) => say('draftFault', { fault, names: some })),
        note: words.mendOf(reason.fault).slice(0, LONGEST_BLOCK_NOTE),
      };
    }
    case 'a slower side':
      return { title: shortNames(names, (some) => say('draftSide', { names: some })) };
    case 'ready for the next rung':
      return { title: shortNames(names, (some) => say('draftReady', { names: some })) };
    case 'never timed':
      return { title: shortNames(names, (some) => say('draftUntimed', { names: some })) };
  }
}

/** A block's length and manner, in a few words. */
export const howWords = ({ how, minutes, sets, workS, stations }: Block): string =>
  how === 'together'
    ? say('minutesLong', { minutes })
    : say('turnsOf', { sets, work: workS, stations });

const TRAINED_WORDS: Readonly<Record<Trained, string>> = {
  warming: say('trainswarming'),
  feet: say('trainsfeet'),
  reaction: say('trainsreaction'),
  play: say('trainsplay'),
  conditioning: say('trainsconditioning'),
  calming: say('trainscalming'),
};
/** What a block trains. */
export const trainsWords = (trained: Trained): string => TRAINED_WORDS[trained];

const MINUTE_S = 60;
/** Seconds as minutes, to the half. */
export const minutesOf = (s: number): string => {
  const halves = Math.round((2 * s) / MINUTE_S) / 2;
  return Number.isInteger(halves) ? String(halves) : halves.toFixed(1);
};

/** Minutes and seconds, as on a countdown. */
export const clockWords = (s: number): string =>
  `${Math.floor(s / MINUTE_S)}:${String(Math.floor(s % MINUTE_S)).padStart(2, '0')}`;

/** The local time so many seconds after the session's start. */
export function wallClock(startsAt: string, afterS: number): string {
  const [hours = 0, minutes = 0] = startsAt.split(':').map(Number);
  const at = 60 * hours + minutes + Math.floor(afterS / MINUTE_S);
  return [Math.floor(at / 60) % 24, at % 60].map((n) => String(n).padStart(2, '0')).join(':');
}

/** A problem of a session, as a sentence. */
export function findingWords(
  finding: PlanFinding,
  nameOf: (blockId: string) => string,
  athleteName: (athleteId: string) => string,
): string {
  switch (finding.finding) {
    case 'no warm-up':
      return say('noWarmUp');
    case 'no cool-down':
      return say('noCoolDown');
    case 'nobody':
      return say('noOne');
    case 'reaction after conditioning':
      return say('lateReaction', { block: nameOf(finding.blockId) });
    case 'short rest': {
      const { blockId, ratio, aim } = finding;
      return say('shortRest', { block: nameOf(blockId), ratio: ratio.toFixed(1), aim });
    }
    case 'waits more than works': {
      const { blockId, worksS: works, waitsS: waits } = finding;
      return say('longWait', { block: nameOf(blockId), works, waits });
    }
    case 'nothing to do': {
      const { blockId, athleteIds } = finding;
      const names = listWords(athleteIds.map(athleteName));
      return say('nothingToDo', { block: nameOf(blockId), names, count: athleteIds.length });
    }
    case 'match object for the young': {
      const names = listWords(finding.athleteIds.map(athleteName));
      return say('matchForYoung', { block: nameOf(finding.blockId), names });
    }
    case 'too long':
      return say('tooLong', { minutes: minutesOf(finding.overS) });
  }
}

/** The differences between two people's versions of a session, in words. */
export function otherwisePlanned(
  mine: Session,
  theirs: Session,
  nameOf: (athleteId: string) => string,
): { readonly what: string; readonly mine: string; readonly theirs: string }[] {
  const blockWords = (block: Block): string =>
    `${blockName(block)}, ${say('minute', { n: block.minutes })}`;
  const readings: readonly (readonly [what: string, read: (planned: Session) => string])[] = [
    [say('theName'), ({ name }) => name],
    [say('theDay'), ({ day }) => dateWords(day)],
    [say('theStart'), ({ startsAt }) => startsAt],
    [say('theMinutes'), ({ minutes }) => say('minute', { n: minutes })],
    [say('theAthletes'), ({ athleteIds }) => listWords(athleteIds.map(nameOf)) || say('nobodyYet')],
    [say('theBlocks'), ({ blocks }) => blocks.map(blockWords).join(' · ') || say('noneYet')],
  ];
  const rows = readings
    .map(([what, read]) => ({ what, mine: read(mine), theirs: read(theirs) }))
    .filter((row) => row.mine !== row.theirs);
  // Parts of a block too detailed to describe briefly.
  const inside = {
    what: say('theBlocks'),
    mine: say('changedInside'),
    theirs: say('othersInside'),
  };
  return rows.length > 0 ? rows : [inside];
}
