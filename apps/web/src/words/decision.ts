import {
  passesToGo,
  type Decision,
  type Gate,
  type Rule,
  type RuleRisk,
  type RuleState,
  type SetOutcome,
  type TimeGate,
} from '@orthokin/core/progress';
import { count, percent, secondsWithUnit } from './format.js';

/** What a gate lacks, as the end of a sentence: "recovery is 0.06 s too slow". */
export function lackWords(gate: Gate): string {
  switch (gate.gate) {
    case 'false starts':
      return `${count(gate.falseStarts, 'false start')} in ${gate.cuedReps}, ${gate.allowed} allowed`;
    case 'valid reps':
      return validRepsWords(gate);
    case 'technique':
      return `${gate.clean} of ${gate.cuedReps} reps without a fault, ${gate.needed} needed`;
    case 'catch trials':
      return `${gate.held} of ${count(gate.trials, 'catch trial')} held, ${gate.needed} needed`;
    case 'spread':
      return `the middle half of the cycles spreads over ${percent(gate.share)} of the median, ${percent(gate.most)} allowed`;
    case 'reaction':
    case 'response':
    case 'recovery':
    case 'cycle':
      return slowWords(gate);
  }
}

function slowWords({ gate, verdict, overMs }: TimeGate): string {
  if (verdict === 'too close to call') return `${gate} is too close to call`;
  if (overMs <= 0) return `too few reps keep every limit at once, ${gate} least often`;
  // Less than what two decimals can show must not read as "0.00 s too slow".
  if (overMs < 5) return `${gate} is a hair too slow, by less than 0.01 s`;
  return `${gate} is ${secondsWithUnit(overMs)} too slow`;
}

function validRepsWords({ reps, needed, untimed }: Extract<Gate, { gate: 'valid reps' }>): string {
  const lacking = Object.entries(untimed).map(
    ([name, n]) => `${name} was not timed in ${count(n, 'rep')}`,
  );
  return [`${count(reps, 'valid rep')}, ${needed} needed`, ...lacking].join('; ');
}

/** What a rule asks, in one plain sentence. */
export function ruleWords(rule: Rule): string {
  if (rule.kind === 'count')
    return `Move up after ${rule.setsNeeded} of the last ${rule.ofLast} sets on a rung passed, on ${count(rule.distinctDays, 'day')}.`;
  if (rule.kind === 'sequential')
    return `Move up when the reps say that ${percent(rule.p1)} pass rather than ${percent(rule.p0)}: of those who pass only ${percent(rule.p0)}, one test moves up one in ${Math.round(1 / rule.alpha)}.`;
  return `The pace quickens after ${rule.passesInARow} passes in a row and eases after a fail; move up when the mean of the last ${rule.reversals} reversals is within the limit of the cycle.`;
}

/** A share in words a coach says: "3 in 4". */
function inWords(share: number): string {
  if (share >= 0.995) return 'all';
  if (share < 0.005) return 'next to none';
  if (share < 0.07) return `1 in ${Math.round(1 / share)}`;
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
  return `${n ?? 0} in ${of ?? 0}`;
}

/** What a rule does over a usual course, in one line. */
export function riskWords({ tooSoonRate, readyRate, tooSoon, ready }: RuleRisk): string {
  const reps = (rate: number) => `${Math.round(10 * rate)} reps of 10`;
  return `Within 20 sets it moves up ${inWords(tooSoon.moved)} of those who pass ${reps(tooSoonRate)}; those who pass ${reps(readyRate)} wait ${Math.round(ready.meanSets)} sets.`;
}

/** What is still missing before a rule is met, as the end of a sentence; `null` when nothing is. */
export function missingWords(rule: Rule, state: RuleState): string | null {
  if (state.met) return null;
  if (rule.kind === 'count' && state.kind === 'count') {
    const sets = rule.setsNeeded - state.setsPassed;
    const days = rule.distinctDays - state.daysPassed;
    if (sets <= 0)
      return `one set must pass on ${days === 1 ? 'another day' : `${days} other days`}`;
    return `${count(sets, 'more set')} must pass${days > 0 && state.daysPassed > 0 ? ', on another day' : ''}`;
  }
  if (rule.kind === 'sequential' && state.kind === 'sequential') {
    const at = state.path.at(-1) ?? 0;
    return `${count(passesToGo(state, rule), 'more pass', 'more passes')} in a row would be enough (evidence ${at.toFixed(1)} of ${state.upper.toFixed(1)})`;
  }
  if (state.kind !== 'staircase') return null;
  const { reading, wantedMs } = state;
  if (wantedMs === null) return 'the rung needs a limit for the cycle';
  if (!reading) return 'a set at a pace that moves by itself';
  if (reading.thresholdMs === null)
    return `${count(reading.needed - reading.reversalsMs.length, 'more reversal')} of the pace`;
  return `the pace settled at ${secondsWithUnit(reading.thresholdMs)}, ${secondsWithUnit(reading.thresholdMs - wantedMs)} over`;
}

/** The one sentence that answers: what comes next, and why. */
export function headline(decision: Decision, rung: number): string {
  const { answer, because, limiting, passRate, fade } = decision;
  switch (answer) {
    case 'move up':
      return `Move up to rung ${rung + 1}: the rule is met.`;
    case 'ease back':
      return because === 'technique failed twice'
        ? `Ease back to rung ${rung - 1}: technique failed in two sets running.`
        : `Ease back to rung ${rung - 1}: only ${percent(passRate ?? 0)} of the reps passed.`;
    case 'rest':
      return `Rest before the next set: the cycle grew from ${secondsWithUnit(fade?.firstThirdMs ?? NaN)} to ${secondsWithUnit(fade?.lastThirdMs ?? NaN)} within the set.`;
    case 'stay':
      if (because === 'top of the ladder') return `Rung ${rung} is met, and it is the top one.`;
      if (because === 'technique first')
        return `Stay on rung ${rung}, however fast: ${limiting ? lackWords(limiting) : ''}.`;
      return `Stay on rung ${rung}: ${limiting ? lackWords(limiting) : ''}.`;
    case 'not enough reps yet':
      return notEnoughWords(decision, rung);
  }
}

function notEnoughWords({ limiting, rule, state, setIds }: Decision, rung: number): string {
  if (setIds.length === 0) return `Nothing shown on rung ${rung} yet.`;
  if (limiting) return `Not enough reps yet: ${lackWords(limiting)}.`;
  const missing = missingWords(rule, state) ?? '';
  return `Not enough reps yet: ${rule.kind === 'count' ? 'passed, and ' : ''}${missing}.`;
}

/** The rule and the evidence behind the answer. */
export function ruleSentence({ rule, state }: Decision): string {
  if (rule.kind === 'count' && state.kind === 'count') {
    const { setsSeen, setsPassed, daysPassed } = state;
    const asked = `The rule asks for ${rule.setsNeeded} of the last ${rule.ofLast} sets on this rung, on ${count(rule.distinctDays, 'day')}`;
    if (setsSeen === 0) return `${asked}; none had enough reps yet.`;
    return `${asked}; ${setsPassed} of ${setsSeen} passed${setsPassed > 0 ? `, on ${count(daysPassed, 'day')}` : ''}.`;
  }
  const missing = missingWords(rule, state);
  return `${ruleWords(rule)} ${missing ? `Missing: ${missing}.` : 'It is met.'}`;
}

/** What to train while a gate holds an athlete. */
export function trainWords(gate: Gate | null): string | null {
  switch (gate?.gate) {
    case 'false starts':
    case 'catch trials':
      return 'catch trials, and waits that do not age: land, look, then go.';
    case 'technique':
      return 'rehearse the positions slowly, two faults watched at most.';
    case 'reaction':
      return 'fewer targets in play, or the split-step timed to the cue.';
    case 'response':
      return 'the way out: first step, and the straight line to the target.';
    case 'recovery':
      return 'the way home: push off at the action, and all the way back.';
    case 'cycle':
      return 'whole reps, short sets, more rest between them.';
    case 'spread':
      return 'the same pace for every rep, before a faster one.';
    case 'valid reps':
    case undefined:
      return null;
  }
}

/** A decision in a few words, for a line of a list. */
export function answerWords(decision: Decision, outcome: SetOutcome | null): string {
  const { answer, because, limiting, setIds, rule, state } = decision;
  if (answer === 'move up') return 'Ready to move up';
  if (answer === 'ease back') return 'Ease back a rung';
  if (answer === 'rest') return 'Rest first: a steep fade';
  if (because === 'top of the ladder') return 'Top rung met';
  if (answer === 'stay' && limiting) return `Stay: ${lackWords(limiting)}`;
  if (outcome === 'passed') return 'Passed; not enough sets yet';
  if (setIds.length === 0) return 'No set on this rung yet';
  const missing = limiting ? lackWords(limiting) : missingWords(rule, state);
  return missing === null ? 'Not enough reps yet' : `Not enough yet: ${missing}`;
}
