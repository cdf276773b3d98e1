import {
  passesToGo,
  type CoachGate,
  type Decision,
  type DecisionHead,
  type Gate,
  type Rule,
  type RuleRisk,
  type RuleState,
  type SetOutcome,
  type TimeGate,
} from '@orthokin/core/progress';
import { percent, secondsWithUnit } from './format.js';
import { decision as en } from './en/decision.js';
import { speaker } from './say.js';

const say = speaker(en);

/** A decision with all its sets, or as a line has it. */
type Said = Decision | DecisionHead;

const setsOf = (decision: Pick<Decision, 'setIds'> | Pick<DecisionHead, 'sets'>): number =>
  'sets' in decision ? decision.sets : decision.setIds.length;

/** What a gate lacks, as the end of a sentence: "recovery is 0.06 s too slow". */
export function lackWords(gate: Gate): string {
  switch (gate.gate) {
    case 'false starts':
      return say('falsestartsCuedrepsAllowedAllowed', {
        falseStarts: gate.falseStarts,
        cuedReps: gate.cuedReps,
        allowed: gate.allowed,
      });
    case 'valid reps':
      return validRepsWords(gate);
    case 'technique':
      return say('cleanCuedrepsRepsWithoutFaultNeeded', {
        clean: gate.clean,
        cuedReps: gate.cuedReps,
        needed: gate.needed,
      });
    case 'catch trials':
      return say('heldTrialsHeldNeededNeeded', {
        held: gate.held,
        trials: gate.trials,
        needed: gate.needed,
      });
    case 'spread':
      return say('middleHalfCyclesSpreadsOverShare', {
        share: percent(gate.share),
        most: percent(gate.most),
      });
    case 'reaction':
    case 'response':
    case 'recovery':
    case 'cycle':
      return slowWords(gate);
    case 'coach event':
      return lateWords(gate);
  }
}

function lateWords({ event, verdict, overMs }: CoachGate): string {
  if (verdict === 'too close to call') return say('gateTooCloseCall', { gate: event });
  if (overMs <= 0) return say('coachEventSooner', { event });
  return say('coachEventLate', { event, overMs: secondsWithUnit(overMs) });
}

function slowWords({ gate, verdict, overMs }: TimeGate): string {
  if (verdict === 'too close to call') return say('gateTooCloseCall', { gate });
  if (overMs <= 0) return say('tooFewRepsKeepEveryLimit', { gate });
  // A difference that rounds to zero must not read as "0.00 s too slow".
  if (overMs < 5) return say('gateHairTooSlowLessThan', { gate });
  return say('gateOvermsTooSlow', { gate, overMs: secondsWithUnit(overMs) });
}

function validRepsWords({ reps, needed, untimed }: Extract<Gate, { gate: 'valid reps' }>): string {
  const lacking = Object.entries(untimed).map(([name, n]) => say('nameWasNotTimedN', { name, n }));
  return [say('repsNeededNeeded', { reps, needed }), ...lacking].join('; ');
}

/** What a rule asks, in one plain sentence. */
export function ruleWords(rule: Rule): string {
  if (rule.kind === 'count')
    return say('moveUpAfterSetsneededLastOflast', {
      setsNeeded: rule.setsNeeded,
      ofLast: rule.ofLast,
      distinctDays: rule.distinctDays,
    });
  if (rule.kind === 'sequential')
    return say('moveUpWhenRepsSayP1', {
      p1: percent(rule.p1),
      p0: percent(rule.p0),
      round: Math.round(1 / rule.alpha),
    });
  return say('paceQuickensAfterPassesinarowPassesRow', {
    passesInARow: rule.passesInARow,
    reversals: rule.reversals,
  });
}

/** A share in words a coach says: "3 in 4". */
function inWords(share: number): string {
  if (share >= 0.995) return 'all';
  if (share < 0.005) return say('nextNone');
  if (share < 0.07) return say('n1Round', { round: Math.round(1 / share) });
  const [n, of] = [
    [1, 10],
    [1, 5],
    [1, 4],
    [1, 3],
    [2, 5],
    [1, 2],
    [3, 5],
    [2, 3],
    [3, 4],
    [4, 5],
    [9, 10],
  ].reduce((best, each) => {
    const off = ([a = 0, b = 1]: readonly number[]) => Math.abs(a / b - share);
    return off(each) < off(best) ? each : best;
  });
  return say('n', { n: n ?? 0, of: of ?? 0 });
}

/** What a rule does over a usual course, in one line. */
export function riskWords({ tooSoonRate, readyRate, tooSoon, ready }: RuleRisk): string {
  const reps = (rate: number) => say('roundReps10', { round: Math.round(10 * rate) });
  return say('within20SetsMovesUpInwords', {
    inWords: inWords(tooSoon.moved),
    reps: reps(tooSoonRate),
    reps2: reps(readyRate),
    round: Math.round(ready.meanSets),
  });
}

/** What is still missing before a rule is met, as the end of a sentence; `null` when nothing is. */
export function missingWords(rule: Rule, state: RuleState): string | null {
  if (state.met) return null;
  if (rule.kind === 'count' && state.kind === 'count') {
    const sets = rule.setsNeeded - state.setsPassed;
    const days = rule.distinctDays - state.daysPassed;
    if (sets <= 0)
      return say('oneSetMustPassWhich', {
        which: days === 1 ? say('anotherDay') : say('daysOtherDays', { days }),
      });
    return say('setsMustPassWhich', {
      sets,
      which: days > 0 && state.daysPassed > 0 ? say('anotherDay2') : '',
    });
  }
  if (rule.kind === 'sequential' && state.kind === 'sequential') {
    const at = state.path.at(-1) ?? 0;
    return say('passestogoRowWouldEnoughEvidenceUpper', {
      passesToGo: passesToGo(state, rule),
      at: at.toFixed(1),
      upper: state.upper.toFixed(1),
    });
  }
  if (state.kind !== 'staircase') return null;
  const { reading, wantedMs } = state;
  if (wantedMs === null) return say('rungNeedsLimitCycle');
  if (!reading) return say('setPaceMovesItself');
  if (reading.thresholdMs === null)
    return say('neededPace', { needed: reading.needed - reading.reversalsMs.length });
  return say('paceSettledThresholdmsThresholdms2Over', {
    thresholdMs: secondsWithUnit(reading.thresholdMs),
    thresholdMs2: secondsWithUnit(reading.thresholdMs - wantedMs),
  });
}

/** The one sentence that answers: what comes next, and why. */
export function headline(decision: Said, rung: number): string {
  const { answer, because, limiting, passRate, fade } = decision;
  switch (answer) {
    case 'move up':
      return say('moveUpRungRungRuleMet', { rung: rung + 1 });
    case 'ease back':
      return because === 'technique failed twice'
        ? say('easeBackRungRungTechniqueFailed', { rung: rung - 1 })
        : say('easeBackRungRungOnlyPassrate', { rung: rung - 1, passRate: percent(passRate ?? 0) });
    case 'rest':
      return say('restBeforeNextSetCycleGrew', {
        firstThirdMs: secondsWithUnit(fade?.firstThirdMs ?? NaN),
        lastThirdMs: secondsWithUnit(fade?.lastThirdMs ?? NaN),
      });
    case 'stay':
      if (because === 'top of the ladder') return say('rungRungMetTopOne', { rung });
      if (because === 'technique first')
        return say('stayRungRungHoweverFastWhich', {
          rung,
          which: limiting ? lackWords(limiting) : '',
        });
      return say('stayRungRungWhich', { rung, which: limiting ? lackWords(limiting) : '' });
    case 'not enough reps yet':
      return notEnoughWords(decision, rung);
  }
}

function notEnoughWords({ limiting, rule, state, ...decision }: Said, rung: number): string {
  if (setsOf(decision) === 0) return say('nothingShownRungRungYet', { rung });
  if (limiting) return say('notEnoughRepsYetLackwords', { lackWords: lackWords(limiting) });
  const missing = missingWords(rule, state) ?? '';
  return rule.kind === 'count'
    ? say('passedNotEnoughSetsYetMissing', { missing })
    : say('notEnoughRepsYetMissing', { missing });
}

/** The rule and the evidence behind the answer. */
export function ruleSentence({ rule, state }: Said): string {
  if (rule.kind === 'count' && state.kind === 'count') {
    const { setsSeen, setsPassed, daysPassed } = state;
    const asked = say('ruleAsksSetsneededLastOflastSets', {
      setsNeeded: rule.setsNeeded,
      ofLast: rule.ofLast,
      distinctDays: rule.distinctDays,
    });
    if (setsSeen === 0) return say('askedNoneHadEnoughRepsYet', { asked });
    return say('askedSetspassedSetsseenPassedWhich', {
      asked,
      setsPassed,
      setsSeen,
      which: setsPassed > 0 ? say('dayspassed', { daysPassed }) : '',
    });
  }
  const missing = missingWords(rule, state);
  return `${ruleWords(rule)} ${missing ? say('missingMissing', { missing }) : say('met')}`;
}

/** What to train while a gate holds an athlete. */
export function trainWords(gate: Gate | null): string | null {
  switch (gate?.gate) {
    case 'false starts':
    case 'catch trials':
      return say('catchTrialsWaitsDoNotAge');
    case 'technique':
      return say('rehearsePositionsSlowlyTwoFaultsWatched');
    case 'reaction':
      return say('fewerTargetsPlaySplitStepTimed');
    case 'response':
      return say('wayOutFirstStepStraightLine');
    case 'recovery':
      return say('wayHomePushOffActionAll');
    case 'cycle':
      return say('wholeRepsShortSetsMoreRest');
    case 'coach event':
      return say('coachEventTrain', { event: gate.event });
    case 'spread':
      return say('samePaceEveryRepBeforeFaster');
    case 'valid reps':
    case undefined:
      return null;
  }
}

/** A decision in a few words, for a line of a list. */
export function answerWords(decision: Said, outcome: SetOutcome | null): string {
  const { answer, because, limiting, rule, state } = decision;
  if (answer === 'move up') return say('readyMoveUp');
  if (answer === 'ease back') return say('easeBackRung');
  if (answer === 'rest') return say('restFirstSteepFade');
  if (because === 'top of the ladder') return say('topRungMet');
  if (answer === 'stay' && limiting)
    return say('stayLackwords', { lackWords: lackWords(limiting) });
  if (outcome === 'passed') return say('passedNotEnoughSetsYet');
  if (setsOf(decision) === 0) return say('noSetThisRungYet');
  const missing = limiting ? lackWords(limiting) : missingWords(rule, state);
  return missing === null ? say('notEnoughRepsYet') : say('notEnoughYetMissing', { missing });
}
