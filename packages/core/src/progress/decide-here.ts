import { readSet, rungAsRun, senseOf, type Conditions, type SetToRead } from '../drill/index.js';
import { rungOf, type LimitsMs, type Pattern } from '../pattern/index.js';
import type { RecordedRep } from '../timing/index.js';
import { decide, type Decision } from './decide.js';
import type { JudgedSet } from './evidence.js';
import { judgeSet } from './judge.js';
import { asksTheSame, isCuedAsAsked } from './ladder.js';
import type { Rule } from './rule.js';
import { readStaircase } from './staircase.js';

/** How many earlier sets on a rung a decision looks at. */
export const EVIDENCE_SETS = 40;

/** A set as evidence, with what determines whether it may be pooled. */
export interface KnownSet extends JudgedSet {
  /** The timing source. */
  readonly source: string;
  readonly sense: 'heard' | 'seen';
}

/** An athlete's ladder as this device last knew it. */
export interface KnownLadder {
  /** The newest version, with the athlete's own limits. */
  readonly pattern: Pattern;
  readonly rung: number;
  readonly rule: Rule;
  /** Oldest first, all with one source and one sense. */
  readonly evidence: readonly KnownSet[];
}

/** A set as it was run, with its pattern. */
export interface RunSet extends SetToRead {
  readonly id: string;
  readonly day: string;
  readonly rung: number;
  /** The athlete's own limits; `null` for the rung's. */
  readonly limitsMs: LimitsMs | null;
  readonly conditions: Conditions;
  readonly pattern: Pattern;
}

/**
 * The ladder and its rule's decision after a set that the server does not have yet, calculated as the server would
 * from what is known here. `null` if the set is no evidence for the athlete's rung: it was not timed, was on another
 * rung, or asked something else.
 */
export function decideHere(
  ladder: KnownLadder,
  set: RunSet,
  reps: readonly RecordedRep[],
): { readonly decision: Decision; readonly evidence: readonly KnownSet[] } | null {
  const { pattern, rule } = ladder;
  const rung = rungOf(pattern, ladder.rung);
  const run = rungAsRun(set.pattern, set);
  if (!rung || !run || set.source === 'none' || set.rung !== ladder.rung) return null;
  if (!isCuedAsAsked(set.conditions.order, rung)) return null;
  if (!asksTheSame({ rung, pattern }, { rung: run, pattern: set.pattern })) return null;
  const readings = readSet(set, reps, set.pattern);
  const judged: KnownSet = {
    ...{ setId: set.id, day: set.day, source: set.source, sense: senseOf(set.conditions) },
    judgement: judgeSet(readings, run, set.conditions.watched),
    staircase: readStaircase(readings, set.conditions.pace),
  };
  const alike = ladder.evidence.filter(
    ({ setId, source, sense }) =>
      setId !== judged.setId && source === judged.source && sense === judged.sense,
  );
  const evidence = [...alike, judged].slice(-EVIDENCE_SETS);
  const next = rungOf(pattern, rung.number + 1) ?? null;
  const hasRungBelow = rung.number > 1;
  return { decision: decide({ sets: evidence, rung, hasRungBelow, next }, rule), evidence };
}
