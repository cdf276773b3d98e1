import { hypergeometricTail } from '../numeric/index.js';
import type { GatedDuration, Rung } from '../pattern/index.js';
import { cuedReps, FAULTS, type Fault, type RepReading } from '../timing/index.js';
import type { SetJudgement, TimeGate } from './gates.js';
import { judgeRep, judgeSet } from './judge.js';

/** The one thing to mend, as a code. */
export type ToMend =
  | {
      readonly kind: 'fault';
      readonly fault: Fault;
      /** Number of cued reps it was seen in. */
      readonly reps: number;
      readonly of: number;
      /** Letter of the one target it shows at; `null` if it may be any. */
      readonly at: string | null;
    }
  | {
      readonly kind: 'slow';
      readonly gate: GatedDuration;
      /** Number of judged reps clearly over their limit. */
      readonly reps: number;
      readonly of: number;
      /** How much the set fell short, ms; 0 if this limit by itself was kept often enough. */
      readonly overMs: number;
      readonly at: string | null;
    };

/** The one thing to keep doing. */
export type ToKeep =
  | { readonly kind: 'without'; readonly fault: Fault; readonly of: number }
  | { readonly kind: 'inside'; readonly gate: GatedDuration; readonly of: number };

/** What to say to an athlete after a set; `null` if the set shows nothing. */
export interface SayThis {
  readonly mend: ToMend | null;
  readonly keep: ToKeep | null;
}

/** Fewer reps show nothing. */
const FEWEST_REPS = 6;
/** A fault is mentioned from this number and share of reps on. */
const FEWEST_FAULTS = 2;
const LEAST_SHARE = 0.2;
/** The absence of a fault is mentioned from so many reps on. */
const FEWEST_WITHOUT = 8;
/** The significance level, over all targets, for naming one. */
const AT_MOST = 0.05;

/**
 * The target that a problem shows at: more of its reps than chance would explain, at 5 % over all targets. `null` if
 * it may be any.
 */
function shownAt(
  reps: readonly RepReading[],
  isWrong: (rep: RepReading) => boolean,
): string | null {
  const targets = [...new Set(reps.map(({ rep }) => rep.target))];
  if (targets.length < 2) return null;
  const marked = reps.filter(isWrong).length;
  const [first] = targets
    .map((target) => {
      const own = reps.filter(({ rep }) => rep.target === target);
      const wrong = own.filter(isWrong).length;
      const chance = { all: reps.length, marked, drawn: own.length };
      return { target, p: hypergeometricTail(wrong, chance) };
    })
    .sort((a, b) => a.p - b.p);
  return first && first.p * targets.length <= AT_MOST ? first.target : null;
}

/** The fault to mend: watched ones first, then the most frequent. */
function faultToMend(cued: readonly RepReading[], watched: readonly Fault[]): ToMend | null {
  const [most] = FAULTS.map((fault) => ({
    fault,
    reps: cued.filter(({ faults }) => faults.includes(fault)).length,
  }))
    .filter(({ reps }) => reps >= FEWEST_FAULTS && reps >= LEAST_SHARE * cued.length)
    .sort(
      (a, b) =>
        Number(watched.includes(b.fault)) - Number(watched.includes(a.fault)) || b.reps - a.reps,
    );
  return most
    ? {
        ...{ kind: 'fault', ...most, of: cued.length },
        at: shownAt(cued, ({ faults }) => faults.includes(most.fault)),
      }
    : null;
}

/**
 * The limit missed by the largest share. If each is kept often enough, but not all at once, the one most reps
 * exceeded.
 */
function slownessToMend(
  { times, outcome }: Pick<SetJudgement, 'times' | 'outcome'>,
  counted: readonly RepReading[],
  rung: Rung,
): ToMend | null {
  const [slowest] = times
    .filter(({ verdict, overMs }) => verdict === 'fail' && overMs > 0)
    .sort((a, b) => b.overMs / b.limitMs - a.overMs / a.limitMs);
  const [oftenest] = times
    .filter(({ fails }) => outcome === 'not passed' && fails >= FEWEST_FAULTS)
    .sort((a, b) => b.fails - a.fails);
  const worst = slowest ?? oftenest;
  if (!worst) return null;
  const { gate, fails } = worst;
  const overMs = Math.max(0, worst.overMs);
  const judged = counted.filter((reading) => judgeRep(reading, rung)[gate]);
  return {
    ...{ kind: 'slow', gate, overMs, reps: fails, of: judged.length },
    at: shownAt(judged, (reading) => judgeRep(reading, rung)[gate]?.verdict === 'fail'),
  };
}

function toKeep(
  cued: readonly RepReading[],
  times: readonly TimeGate[],
  watched: readonly Fault[],
  mend: ToMend | null,
): ToKeep | null {
  const without = watched.find((fault) => !cued.some(({ faults }) => faults.includes(fault)));
  if (without && cued.length >= FEWEST_WITHOUT)
    return { kind: 'without', fault: without, of: cued.length };
  const inside = times.find(
    ({ gate, passes, fails, tooClose }) =>
      passes >= FEWEST_WITHOUT &&
      fails + tooClose === 0 &&
      !(mend?.kind === 'slow' && mend.gate === gate),
  );
  return inside ? { kind: 'inside', gate: inside.gate, of: inside.passes } : null;
}

/**
 * One thing to mend and one to keep after a set. To mend: more false starts than the rung allows; else
 * the fault watched for, or seen, in two reps and a fifth of them at the least; else the limit missed by
 * most. The one target it shows at is named where chance would seldom put it there. To keep: a fault
 * watched for that never came; else a limit that every rep kept. Under six reps nothing is said.
 */
export function sayThis(
  readings: readonly RepReading[],
  rung: Rung,
  watched: readonly Fault[],
): SayThis {
  const cued = cuedReps(readings);
  if (cued.length < FEWEST_REPS) return { mend: null, keep: null };
  const judgement = judgeSet(readings, rung, watched);
  const counted = readings.filter(({ leftOut }) => leftOut === null);
  const early = judgement.falseStarts.met ? null : faultToMend(cued, ['false start']);
  const mend = early ?? faultToMend(cued, watched) ?? slownessToMend(judgement, counted, rung);
  return { mend, keep: toKeep(cued, judgement.times, watched, mend) };
}
