import { normal, type Random } from '@orthokin/core/cue';
import { claimsOf, heldOnRung, type SquadMember } from '@orthokin/core/progress';
import { simulateRep, TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import { fadeOf, leanOf, squadForm, standingOf } from '@orthokin/core/stats';
import { readRep } from '@orthokin/core/timing';
import { shareOf, type Finding } from './aims.js';
import { madeCourse, type Made } from './courses.js';

const MOST_FALSE = 0.05;

/** Leans of athletes who have none, and who lean as ever; and a new one that is really there. */
export function leans(made: Made, athletes: number, random: Random): Finding[] {
  const of = (change: Partial<Made>) =>
    Array.from({ length: athletes }, () => leanOf(madeCourse({ ...made, ...change }, random)));
  const what = `${made.days} days, ${made.setsADay} sets a day, lean form ${made.leanForm} %`;
  const even = of({ lean: 0, newLean: 0 });
  const asEver = of({ lean: 6, newLean: 6 });
  const anew = of({ lean: 0, newLean: 10 });
  return [
    {
      what: `even sides, ${what}: a slower side`,
      share: shareOf(even, ({ lean }) => lean !== null && lean.p < MOST_FALSE),
      ...{ of: athletes, atMost: MOST_FALSE },
    },
    {
      what: `a lean as ever, ${what}: a new one`,
      share: shareOf(asEver, ({ leanChange }) => leanChange !== null && leanChange.p < MOST_FALSE),
      ...{ of: athletes, atMost: MOST_FALSE },
    },
    {
      what: `a new lean of 10 %, ${what}: found`,
      share: shareOf(anew, ({ leanChange }) => leanChange !== null && leanChange.p < MOST_FALSE),
      of: athletes,
    },
  ];
}

const SETTINGS = { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-60, 120] } as const;
const TARGETS = [
  { letter: 'A', at: { x: 2.2, y: 1.6 } },
  { letter: 'B', at: { x: -2.2, y: 1.6 } },
  { letter: 'C', at: { x: 2.6, y: -2.4 } },
  { letter: 'D', at: { x: -2.6, y: -2.4 } },
] as const;

function fadeOfMadeSet(reps: number, fadePerRep: number, random: Random) {
  const model = { ...TYPICAL_ATHLETE, fadePerRep, falseStartShare: 0 };
  const readings = Array.from({ length: reps }, (_, i) => {
    const target = TARGETS[Math.floor(random() * TARGETS.length)] ?? TARGETS[0];
    const cue = { atMs: 5000 * i, target: target.at, repsBefore: i, sessionsBefore: 9 };
    const rep = { ordinal: i + 1, target: target.letter, struckOut: false };
    return readRep({ ...rep, ...simulateRep(model, cue, random) }, SETTINGS);
  });
  return fadeOf(readings, 'cycle');
}

export function fades(reps: number, sets: number, random: Random): Finding[] {
  const of = (fadePerRep: number) =>
    Array.from({ length: sets }, () => fadeOfMadeSet(reps, fadePerRep, random));
  const none = of(0);
  return [
    {
      what: `no fade, sets of ${reps} reps: it faded`,
      share: shareOf(none, (fade) => fade?.words === 'faded'),
      ...{ of: sets, atMost: MOST_FALSE },
    },
    {
      what: `no fade, sets of ${reps} reps: it sped up`,
      share: shareOf(none, (fade) => fade?.words === 'sped up'),
      ...{ of: sets, atMost: MOST_FALSE },
    },
    {
      what: `a fade of 1 % a rep, sets of ${reps} reps: found`,
      share: shareOf(of(0.01), (fade) => fade?.words === 'faded'),
      of: sets,
    },
  ];
}

/** What a rung asks of its reps. */
const ASKED = 0.8;
const REPS = 12;

/** Sets of an athlete who keeps a share of the reps, more or less so from day to day. */
function judgedSets(made: Made, share: number, random: Random) {
  return Array.from({ length: made.days }, (_, day) => {
    const today = Math.min(1, Math.max(0, share + normal(random, 0, made.form)));
    return Array.from({ length: made.setsADay }, () => {
      const chances = Array.from({ length: REPS }, () => (random() < today ? 1 : 0));
      return { day: String(day), judgement: { chances } };
    });
  }).flat();
}

export function stuck(made: Made, athletes: number, random: Random): Finding[] {
  const of = (share: number) =>
    Array.from({ length: athletes }, () => heldOnRung(judgedSets(made, share, random), ASKED));
  const what = `${made.days} days, ${made.setsADay} sets a day`;
  return [
    {
      what: `who keeps just what is asked, ${what}: held`,
      share: shareOf(of(ASKED), (held) => held !== null && held.p < MOST_FALSE),
      ...{ of: athletes, atMost: MOST_FALSE },
    },
    {
      what: `who keeps six reps in ten, ${what}: held`,
      share: shareOf(of(0.6), (held) => held !== null && held.p < MOST_FALSE),
      of: athletes,
    },
  ];
}

const SQUAD = 25;

/** Everything a squad's page says unasked, of a squad in which nothing changed. */
function pageOf(made: Made, changed: number, random: Random) {
  const courses = Array.from({ length: SQUAD }, (_, i) =>
    madeCourse(i < changed ? { ...made, change: -0.12 } : { ...made, change: 0 }, random),
  );
  const squad = squadForm(courses);
  const members = courses.map((sets): SquadMember => ({
    standing: standingOf(sets, squad),
    held: heldOnRung(judgedSets(made, ASKED, random), ASKED),
    ...{ answer: 'stay', hasRungAbove: true },
  }));
  return claimsOf(members);
}

export function pages(made: Made, count: number, random: Random): Finding[] {
  const still = Array.from({ length: count }, () => pageOf(made, 0, random));
  const lively = Array.from({ length: count }, () => pageOf(made, 5, random));
  const what = `a squad of ${SQUAD}, form ${(100 * made.form).toFixed(0)} %, ${made.days} days`;
  return [
    {
      what: `${what}, nothing changed: anything said`,
      share: shareOf(still, (claims) =>
        claims.some(({ change, slowerSide, isStuck }) => change ?? slowerSide ?? (isStuck || null)),
      ),
      ...{ of: count, atMost: MOST_FALSE },
    },
    {
      what: `${what}, five of them 12 % faster: of these found`,
      share:
        lively.reduce(
          (sum, claims) => sum + claims.slice(0, 5).filter(({ change }) => change).length,
          0,
        ) /
        (5 * count),
      of: count,
    },
  ];
}
