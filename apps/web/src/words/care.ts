import type { Side } from '@orthokin/core/floor';
import type {
  AgreedTo,
  AgreementWay,
  BeforeDrill,
  Demand,
  Move,
  Need,
  ReadinessCheck,
  ReadinessResult,
  Restriction,
  RestrictionKind,
} from '@orthokin/core/people';
import { care as en } from './en/care.js';
import { capital, commaList, listWords, longDay } from './format.js';
import { speaker } from './say.js';

const say = speaker(en);

export const RESTRICTION_KIND_WORDS: Readonly<Record<RestrictionKind, string>> = {
  'no jumping': say('noJumping'),
  'no hopping': say('noHopping'),
  'no running': say('noRunning'),
  'no moving back': say('noMovingBack'),
  'no turning': say('noTurning'),
  'no side-stepping': say('noSideStepping'),
  'no lunging': say('noLunging'),
  'no stopping on one leg': say('noStopping'),
  'straight lines only': say('straightOnly'),
  'only what is listed': say('onlyListed'),
  'no head contact': say('noHeadContact'),
  'minutes a day': say('minutesADay'),
  'splits a day': say('splitsADay'),
};

export const MOVE_WORDS: Readonly<Record<Move, string>> = {
  'split-step': say('splitStep'),
  hop: say('hop'),
  run: say('run'),
  'side-step': say('sideStep'),
  'moving back': say('movingBack'),
  turn: say('turn'),
  lunge: say('lunge'),
  'stop on one leg': say('stopOnOneLeg'),
  'bent path': say('bentPath'),
};

const LEG_WORDS: Readonly<Record<Side, string>> = { left: say('left'), right: say('right') };

export const RESULT_WORDS: Readonly<Record<ReadinessResult, string>> = {
  yes: say('yes'),
  'with help': say('withHelp'),
  'not yet': say('notYet'),
  hurts: say('hurts'),
};

export const AGREEMENT_WAY_WORDS: Readonly<Record<AgreementWay, string>> = {
  'on paper': say('onPaper'),
  'by message': say('byMessage'),
  'in person': say('inPerson'),
};

export const AGREED_TO_WORDS: Readonly<Record<AgreedTo, string>> = {
  training: say('training'),
  filming: say('filming'),
};

const onLeg = (what: string, leg: Side | null): string =>
  leg === null ? what : say('onLeg', { what, leg: LEG_WORDS[leg] });

const demandWords = ({ move, leg }: Demand): string => onLeg(MOVE_WORDS[move], leg);

/** "no turning on the left leg", "at most 40 split-steps a day". */
export function restrictionWords({ kind, leg, moves, most }: Restriction): string {
  if (kind === 'minutes a day') return say('mostMinutes', { most: most ?? 0 });
  if (kind === 'splits a day') return say('mostSplits', { most: most ?? 0 });
  if (kind === 'only what is listed')
    return say('onlyMoves', { moves: commaList(moves.map((move) => MOVE_WORDS[move])) });
  return onLeg(RESTRICTION_KIND_WORDS[kind], leg);
}

/** How long it holds. */
export const untilWords = ({ until }: Pick<Restriction, 'until'>): string =>
  until === null ? say('untilLifted') : say('untilDay', { day: longDay(until) });

/** A check that hurt, as what stands behind a restriction. */
export const painWords = (day: string): string => say('fromCheck', { day: longDay(day) });

/** What a check is called, how it is done, and what to look for. */
export interface CheckWords {
  readonly title: string;
  readonly how: string;
  readonly look: string;
}

type Key = keyof typeof en;

const CHECK_KEYS: Readonly<Record<ReadinessCheck, readonly [title: Key, how: Key, look: Key]>> = {
  'squat and hold': ['squatAndHold', 'squatHow', 'squatLook'],
  'move in a squat': ['moveInASquat', 'moveHow', 'moveLook'],
  'side-step': ['sideStepBoth', 'sideHow', 'sideLook'],
  'stop on one leg': ['stopLeg', 'stopHow', 'stopLook'],
  'hop and stick': ['hopLeg', 'hopHow', 'hopLook'],
  'split-step landing': ['splitLanding', 'splitHow', 'splitLook'],
  'turn and run': ['turnAndRun', 'turnHow', 'turnLook'],
  backpedal: ['backpedal', 'backHow', 'backLook'],
};

export function checkWords({ check, leg }: Need): CheckWords {
  const params = { leg: leg === null ? '' : LEG_WORDS[leg] };
  const [title, how, look] = CHECK_KEYS[check];
  return { title: say(title, params), how: say(how, params), look: say(look, params) };
}

/** How a check went last; `null` where nobody looked. */
export const resultWords = (result: ReadinessResult | null): string =>
  result === null ? say('neverLooked') : RESULT_WORDS[result].toLowerCase();

/** What stands against a drill: a line for each restriction, with the targets that ask for it. */
export function stopLines({
  stops,
  tooMuch,
  left,
}: BeforeDrill): readonly (readonly [restriction: Restriction, why: string])[] {
  const restrictions = [...new Set(stops.map(({ restriction }) => restriction))];
  return [
    ...restrictions.map((restriction) => {
      const own = stops.filter((stop) => stop.restriction === restriction);
      const laid = own.filter(({ demands }) => demands.length > 0);
      const bare = own.filter(({ demands }) => demands.length === 0);
      const moves = new Set(laid.flatMap(({ demands }) => demands.map(demandWords)));
      const of = (some: typeof own) => ({
        count: some.length,
        targets: listWords(some.map(({ target }) => target)),
      });
      const why = [
        ...(laid.length > 0
          ? [say('askedOfTargets', { ...of(laid), moves: commaList([...moves]) })]
          : []),
        ...(bare.length > 0
          ? [
              restriction.kind === 'no head contact'
                ? say('headContactTag')
                : say('notLaid', of(bare)),
            ]
          : []),
      ];
      return [restriction, why.join(' ')] as const;
    }),
    ...tooMuch.map(
      (restriction) =>
        [
          restriction,
          say('leftToday', {
            left: Math.floor(
              (restriction.kind === 'splits a day' ? left.splits : left.minutes) ?? 0,
            ),
          }),
        ] as const,
    ),
  ];
}

/** Checks by name, as a list within a sentence. */
export const checkList = (needs: readonly Need[]): string =>
  commaList(needs.map((need) => checkWords(need).title.toLowerCase()));

/** A restriction as a line by itself. */
export const restrictionTitle = (restriction: Restriction): string =>
  capital(restrictionWords(restriction));
