import type { Decision, Gate, SetOutcome } from '@orthokin/core/progress';
import { count, secondsWithUnit } from './format.js';

/** What a gate lacks, as the end of a sentence: "recovery is 0.06 s too slow". */
export function lackWords(gate: Gate): string {
  if (gate.gate === 'false starts')
    return `${count(gate.falseStarts, 'false start')} in ${gate.cuedReps}, ${gate.allowed} allowed`;
  if (gate.gate === 'valid reps') return validRepsWords(gate);
  if (gate.verdict === 'too close to call') return `${gate.gate} is too close to call`;
  if (gate.overMs <= 0) return `too few reps keep every limit at once, ${gate.gate} least often`;
  // Less than what two decimals can show must not read as "0.00 s too slow".
  if (gate.overMs < 5) return `${gate.gate} is a hair too slow, by less than 0.01 s`;
  return `${gate.gate} is ${secondsWithUnit(gate.overMs)} too slow`;
}

function validRepsWords({ reps, needed, untimed }: Extract<Gate, { gate: 'valid reps' }>): string {
  const lacking = Object.entries(untimed).map(
    ([name, n]) => `${name} was not timed in ${count(n, 'rep')}`,
  );
  return [`${count(reps, 'valid rep')}, ${needed} needed`, ...lacking].join('; ');
}

/** A decision in a few words, for a line of a list. */
export function answerWords(decision: Decision, outcome: SetOutcome): string {
  const { answer, limiting, atTop } = decision;
  if (answer === 'move up') return 'Ready to move up';
  if (atTop) return 'Top rung met';
  if (answer === 'stay' && limiting) return `Stay: ${lackWords(limiting)}`;
  if (outcome === 'passed') return 'Passed; not enough sets yet';
  return limiting ? `Not enough yet: ${lackWords(limiting)}` : 'Not enough reps yet';
}
