import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { seededRandom, makeSchedule } from '@orthokin/core/cue';
import {
  decide,
  USUAL_COUNT_RULE,
  USUAL_SEQUENTIAL_RULE,
  USUAL_STAIRCASE_RULE,
  judgeSet,
  operatingOf,
  simulateStaircase,
  steady,
  USUAL_OUTLOOK,
} from '@orthokin/core/progress';
import type { Rung } from '@orthokin/core/pattern';
import { simulateRep, TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import {
  asymmetry,
  fitExGaussian,
  fitLearningCurve,
  medianInterval,
  summariseSet,
} from '@orthokin/core/stats';
import { readRep, type Rep } from '@orthokin/core/timing';
import { COURT_NAMES, SIDES } from '@orthokin/core/floor';
import { matchRoster, readRoster } from '@orthokin/core/formats';
import { RESTRICTION_KINDS, stopsOf, type Restriction } from '@orthokin/core/people';
import { rotation, type Rotated } from '@orthokin/core/plan';
import { firstPattern } from '@orthokin/core/progress';
import Papa from 'papaparse';
import { blankPattern, checkFootwork, layLeg, usualPlan } from '@orthokin/core/footwork';
import {
  layoutTargets,
  nextMarker,
  USUAL_RUNG,
  withLeg,
  type Pattern,
} from '@orthokin/core/pattern';
import { spawnSync } from 'node:child_process';
import * as peer from 'simple-statistics';
import { Bench } from 'tinybench';

const SETTINGS = { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-60, 120] } as const;
const RUNG: Rung = {
  ...USUAL_RUNG,
  number: 1,
  name: 'bench',
  targets: ['A'],
  limitsMs: { reaction: 320, recovery: 1300 },
};

function repsOf(n: number): Rep[] {
  const random = seededRandom(1);
  return Array.from({ length: n }, (_, i) => ({
    ordinal: i + 1,
    target: 'A',
    struckOut: false,
    ...simulateRep(
      TYPICAL_ATHLETE,
      { atMs: i * 5000, target: { x: 2, y: 2 }, repsBefore: i % 12, sessionsBefore: 9 },
      random,
    ),
  }));
}

const read = (reps: readonly Rep[]) => reps.map((rep) => readRep(rep, SETTINGS));
/** Once through everything, of a hundredth, to see that it runs. */
const isQuick = process.argv.includes('--quick');
const MANY = isQuick ? 1000 : 100_000;

const thousand = repsOf(1000);
const readings = read(thousand);
const hundredThousand = read(repsOf(MANY));
const judged = Array.from({ length: 500 }, (_, i) => ({
  setId: String(i),
  day: String(i >> 2),
  judgement: judgeSet(readings.slice(0, 12), RUNG),
}));

/** A pattern with as many targets as there can be, no feet laid. */
function twelveTargets(): Pattern {
  let targets = layoutTargets('star', 2.6);
  for (let turn = 0; turn < 6; turn++) {
    const angle = (turn * Math.PI) / 3;
    const at = { x: 3.6 * Math.sin(angle + 0.3), y: 3.6 * Math.cos(angle + 0.3) };
    const added = nextMarker(targets, at);
    if (added) targets = [...targets, added];
  }
  return { ...blankPattern('bench'), targets };
}

const layAll = (pattern: Pattern): Pattern =>
  pattern.targets.reduce(
    (done, target) => withLeg(done, layLeg(done, target, usualPlan(target))),
    pattern,
  );

const bare = twelveTargets();
const laid = layAll({ ...bare, targets: bare.targets.slice(0, 6) });

/** All usual patterns there are, each with a restriction of every kind standing against it. */
const patterns = COURT_NAMES.flatMap((court) =>
  SIDES.map((hand) => firstPattern({ name: 'bench', sport: 'any', court, hand })),
);
const restrictions = RESTRICTION_KINDS.map((kind): Restriction => ({
  ...{ kind, leg: null, moves: [], most: 40, from: '2026-01-01', until: null, clinician: false },
}));

const ROSTER = `Name;Born;Hand;Height\n${Array.from(
  { length: MANY / 50 },
  (_, i) => `Somebody ${i};201${i % 10}-03-0${(i % 9) + 1};left;1.${40 + (i % 40)}`,
).join('\n')}`;
const rosterRows = ROSTER.split('\n').map((line) => line.split(';'));
const known = rosterRows.slice(1, 201).map(([name = '']) => ({ name }));

const reactions = hundredThousand.flatMap(({ durations }) => durations.reaction?.ms ?? []);
const fiveHundred = reactions.slice(0, 500);
const sessions = Array.from({ length: 40 }, (_, i) => i + 1);
const learning = sessions.map((session, i) => 700 + 400 * Math.exp(-0.2 * session) + (i % 7));

/** The plain percentile interval of the peer's functions: BCa does this and more. */
function peerBootstrap(): void {
  const medians = Array.from({ length: MANY / 20 }, () =>
    peer.median(peer.sampleWithReplacement(fiveHundred, 500, Math.random)),
  );
  peer.quantile(medians, [0.025, 0.975]);
}

const turns: Rotated = {
  athleteIds: Array.from({ length: 24 }, (_, i) => `athlete ${i}`),
  ...{ stations: 6, sets: 12, workS: 30, restS: 60, helpers: ['calls', 'feeds'] },
};
const halfOfTurns = rotation(turns).slice(0, 24);

const evidence = { sets: judged, rung: RUNG, next: RUNG, hasRungBelow: true };

const bench = new Bench(isQuick ? { time: 0, iterations: 1, warmup: false } : { time: 1000 });
bench
  .add('read 1,000 reps', () => void read(thousand))
  .add('summarise 1,000 reps', () => void summariseSet(readings))
  .add('summarise 100,000 reps', () => void summariseSet(hundredThousand))
  .add('quartiles and MAD of 100,000 times, simple-statistics', () => {
    peer.quantile(reactions, [0.25, 0.5, 0.75]);
    peer.medianAbsoluteDeviation(reactions);
  })
  .add('ex-Gaussian of 1,000 times', () => void fitExGaussian(reactions.slice(0, 1000)))
  .add('BCa of the median of 500 times, exactly', () => void medianInterval(fiveHundred))
  .add('BCa of the asymmetry of 2 × 250 times, exactly', () => {
    asymmetry(fiveHundred.slice(0, 250), fiveHundred.slice(250));
  })
  .add('percentile bootstrap of that median, 5,000 draws, simple-statistics', peerBootstrap)
  .add('what the count rule does, exactly', () => {
    operatingOf(USUAL_COUNT_RULE, steady(0.6), USUAL_OUTLOOK);
  })
  .add('what the sequential test does, exactly', () => {
    operatingOf(USUAL_SEQUENTIAL_RULE, steady(0.6), USUAL_OUTLOOK);
  })
  .add('learning curve of 40 sessions', () => void fitLearningCurve(sessions, learning))
  .add('judge a set of 200 reps', () => void judgeSet(readings.slice(0, 200), RUNG))
  .add('decide over 500 sets, count rule', () => void decide(evidence, USUAL_COUNT_RULE))
  .add('decide over 500 sets, sequential', () => void decide(evidence, USUAL_SEQUENTIAL_RULE))
  .add('lay and check 12 targets', () => void checkFootwork(layAll(bare)))
  .add('check 1,000 patterns of 6', () => {
    for (let n = 0; n < MANY / 100; n++) checkFootwork(laid);
  })
  .add('every rung of 28 patterns against every restriction', () => {
    for (const pattern of patterns)
      for (const { number } of pattern.rungs) stopsOf(pattern, number, restrictions);
  })
  .add('turns of 24 at 6 stations, 12 each', () => void rotation(turns))
  .add('the same planned anew halfway, one gone', () => {
    rotation({ ...turns, athleteIds: turns.athleteIds.slice(1) }, halfOfTurns);
  })
  .add('2,000 people of a table, 200 known', () => {
    const [heads = [], ...rows] = rosterRows;
    readRoster(rows, { columns: matchRoster(heads), known, unit: 'metres', today: '2026-11-27' });
  })
  .add('the same table, papaparse alone', () => void Papa.parse(ROSTER))
  .add('schedule 200 cues', () => {
    makeSchedule(
      { ...PLAIN_CONDITIONS, targets: ['A', 'B', 'C', 'D', 'E', 'F'], reps: 200 },
      seededRandom(3),
    );
  });
await bench.run();

// Seconds each: a few runs tell enough.
const courses = new Bench({ iterations: isQuick ? 1 : 5, time: 0, warmup: false }).add(
  '100,000 courses by the staircase',
  () => {
    simulateStaircase(
      ...([USUAL_STAIRCASE_RULE, steady(0.6), { ...USUAL_OUTLOOK, repsPerSet: 30 }] as const),
      ...([MANY, seededRandom(1)] as const),
    );
  },
);
await courses.run();

for (const { name, result } of [...bench.tasks, ...courses.tasks]) {
  if (!('latency' in result)) continue;
  const { p50, p99 } = result.latency;
  console.log(`${name.padEnd(56)} median ${p50.toFixed(3)} ms, p99 ${p99.toFixed(3)} ms`);
}

/** The same sums by scipy, in the same run, where python3-scipy is installed. */
const SCIPY = `
import json, sys, time
import numpy as np
from scipy import stats
given = json.load(sys.stdin)
times, rounds = given["times"], given["rounds"]
def median_ms(work):
    taken = []
    for _ in range(rounds):
        began = time.perf_counter()
        work()
        taken.append(1000 * (time.perf_counter() - began))
    return sorted(taken)[rounds // 2]
x, y = np.array(times), np.array(times[:500])
print("ex-Gaussian of 1,000 times, scipy exponnorm.fit: median %.3f ms" % median_ms(lambda: stats.exponnorm.fit(x)))
print("BCa of a median, 5,000 draws of 500, scipy bootstrap: median %.3f ms" % median_ms(lambda: stats.bootstrap((y,), np.median, n_resamples=5000, method="BCa")))
`;
const scipy = spawnSync('/usr/bin/python3', ['-c', SCIPY], {
  input: JSON.stringify({ times: reactions.slice(0, 1000), rounds: isQuick ? 1 : 15 }),
  encoding: 'utf8',
});
console.log(
  scipy.status === 0 ? scipy.stdout.trim() : 'scipy is not installed here (python3-scipy).',
);
