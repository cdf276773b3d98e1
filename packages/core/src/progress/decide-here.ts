import { readSet, rungAsRun, senseOf, type Conditions, type SetToRead } from '../drill/index.js';
import { rungOf, type LimitsMs, type Pattern } from '../pattern/index.js';
import type { RecordedRep } from '../timing/index.js';
import { decide, type Decision } from './decide.js';
import type { JudgedSet } from './evidence.js';
import { judgeSet } from './judge.js';
import { asksTheSame, isCuedAsAsked } from './ladder.js';
import type { Rule } from './rule.js';
import { readStaircase } from './staircase.js';

/** As many sets on a rung as the decision after another looks back on. */
export const EVIDENCE_SETS = 40;

/** A set as evidence, with what keeps it from being pooled with others. */
export interface KnownSet extends JudgedSet {
  /** What timed it. */
  readonly source: string;
  readonly sense: 'heard' | 'seen';
}

/** An athlete's ladder as it was last heard of. */
export interface KnownLadder {
  /** As it is now, its rungs with the limits of this athlete. */
  readonly pattern: Pattern;
  readonly rung: number;
  readonly rule: Rule;
  /** Oldest first, all of one source and one sense. */
  readonly evidence: readonly KnownSet[];
}

/** A set as it was run, with the pattern it was run on. */
export interface RunSet extends SetToRead {
  readonly id: string;
  readonly day: string;
  readonly rung: number;
  /** Of the athlete's own; `null` for the rung's. */
  readonly limitsMs: LimitsMs | null;
  readonly conditions: Conditions;
  readonly pattern: Pattern;
}

/**
 * The ladder after a set that nobody else has heard of yet, and what its rule says then: the same
 * arithmetic as where all sets are kept, on what is known here. `null` where the set shows nothing of
 * the athlete's rung: nobody timed it, it was run on another rung, or asked something else.
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
