import type { CueOrder, Foreperiod } from '@orthokin/core/cue';
import type { Conditions, CueKind, HomeRule } from '@orthokin/core/drill';
import type { Rung } from '@orthokin/core/pattern';
import type { Foreseen } from '@orthokin/core/progress';
import type { SetSource } from '@orthokin/core/run';
import { setUp as en } from './en/set-up.js';
import { commaList, listWords, percent, secondsWithUnit } from './format.js';
import { speaker } from './say.js';

const say = speaker(en);

/** The three things a set-up settles. */
export const CHIP_TITLES = {
  who: say('whoAndWhat'),
  cues: say('cues'),
  timing: say('timing'),
} as const;

export const ANOTHER_ATHLETE = say('anotherAthlete');

/** On what the set is, and who else works. */
export const whoWords = (
  { name, rungs }: { readonly name: string; readonly rungs: readonly Rung[] },
  rung: Rung | undefined,
  others: number,
): string =>
  say('who', {
    ...{ pattern: name, rung: rung?.number ?? 1, of: rungs.length, name: rung?.name ?? '' },
    others: others > 0 ? say('withOthers', { others: say('someOthers', { count: others }) }) : '',
  });

const ORDERS: Readonly<Record<CueOrder, string>> = {
  known: say('known'),
  blocked: say('blocked'),
  shuffled: say('shuffled'),
  chained: say('chained'),
  free: say('free'),
  called: say('called'),
};

/** An order of cues, as it is called wherever one is chosen or said. */
export const orderWords = (order: CueOrder): string => ORDERS[order];

const KINDS: Readonly<Record<CueKind, string>> = {
  marker: say('marker'),
  colour: say('colour'),
  arrow: say('arrow'),
  number: say('number'),
  word: say('word'),
  tone: say('tone'),
  spoken: say('spoken'),
  'spoken colour': say('spokenColour'),
};

/** A kind of cue, the same. */
export const kindWords = (kind: CueKind): string => KINDS[kind];

const FOREPERIODS: Readonly<Record<Foreperiod['kind'], string>> = {
  fixed: say('waitFixed'),
  uniform: say('waitUniform'),
  'non-ageing': say('waitNonAgeing'),
};

/** A way of drawing the wait for a cue. */
export const foreperiodWords = (kind: Foreperiod['kind']): string => FOREPERIODS[kind];

const HOMES: Readonly<Record<HomeRule, string>> = {
  'home zone': say('homeZone'),
  'all the way home': say('allTheWayHome'),
};

/** What counts as home. */
export const homeWords = (rule: HomeRule): string => HOMES[rule];

/** How much, in which order, perceived how; and what tests are in it. */
export function cuesWords(
  { order, cueKinds, workMs }: Conditions,
  { reps, sets }: { readonly reps: number; readonly sets: number },
  tests: string,
): string {
  const one =
    workMs === null ? say('reps', { reps }) : say('work', { seconds: Math.round(workMs / 1000) });
  return say('cuesWill', {
    amount: sets > 1 ? say('sets', { sets, amount: one }) : one,
    order: ORDERS[order],
    kinds: listWords(cueKinds.map((kind) => KINDS[kind])),
    tests: tests === '' ? '' : say('tests', { tests }),
  });
}

/** What happens to the set when a rep goes wrong. */
export function stakesWords({ lossCost, endsOnFaults, workMs, watched }: Conditions): string {
  const said = [
    lossCost && workMs === null && say('lostAdds', { reps: lossCost.reps, most: lossCost.most }),
    endsOnFaults && watched.length > 0 && say('endsOnFaults'),
  ];
  return commaList(said) || say('nothingAtStake');
}

/** What times the set. */
export function timingWords(source: SetSource, handSdMs: number): string {
  switch (source) {
    case 'hand':
      return say('byHand', { sure: secondsWithUnit(handSdMs) });
    case 'sensor':
      return say('bySensor');
    case 'simulated':
      return say('bySimulated');
    case 'none':
      return say('byNobody');
    case 'film':
      return say('byFilm');
  }
}

/** What the set will not show, in a line. */
export function foreseenWords(foreseen: Foreseen): string {
  switch (foreseen.kind) {
    case 'too few reps':
      return say('tooFewReps', { expected: foreseen.expected, needed: foreseen.needed });
    case 'too close by hand':
      return say('tooCloseByHand', {
        gate: foreseen.gate,
        limit: secondsWithUnit(foreseen.limitMs),
        share: percent(foreseen.share),
      });
    case 'cues give away':
      return say('cuesGiveAway');
  }
}

/** The one press that mends it. */
export function mendWords(foreseen: Foreseen): string {
  switch (foreseen.kind) {
    case 'too few reps':
      return 'workMs' in foreseen.mend
        ? say('workFor', { seconds: Math.round(foreseen.mend.workMs / 1000) })
        : say('doReps', { reps: foreseen.mend.reps });
    case 'too close by hand':
      return say('useBeacons');
    case 'cues give away':
      return say('asTheRung');
  }
}
