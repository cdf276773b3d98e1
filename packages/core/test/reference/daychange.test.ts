import {
  changeBetween,
  dayForm,
  ownWorthwhileChange,
  type TrainingDay,
} from '@orthokin/core/stats';
import { expectClose, reference } from './reference.js';

interface Place {
  rung: number;
  index: number;
}

interface DayChanges {
  relativeTolerance: number;
  cases: {
    rungs: { day: number; sets: number[] }[][];
    before: Place[];
    after: Place[];
    priorShare: number;
    priorDf: number;
    worthwhileMs: number | null;
    withinVariance: number;
    withinDf: number;
    betweenVariance: number;
    betweenDf: number;
    change: number;
    sd: number;
    df: number;
    detectable: number;
    worthwhile: number;
    chanceFaster: number;
    chanceSlower: number;
    words: string;
  }[];
}

const file = reference('daychange') as DayChanges;
const close = (actual: number, expected: number) =>
  expectClose(actual, expected, file.relativeTolerance);

test.each(file.cases.map((given, i) => [i + 1, given] as const))('day change %i', (_, given) => {
  const rungs = given.rungs.map((days) =>
    days.map(({ day, sets }): TrainingDay => ({ day, setsMs: sets })),
  );
  const at = (places: readonly Place[]) =>
    places.flatMap(({ rung, index }) => rungs[rung]?.[index] ?? []);
  const form = dayForm(rungs, { share: given.priorShare, df: given.priorDf });
  close(form.within.ms2, given.withinVariance);
  close(form.within.df, given.withinDf);
  close(form.between.ms2, given.betweenVariance);
  close(form.between.df, given.betweenDf);
  const worthwhile = given.worthwhileMs ?? ownWorthwhileChange(form);
  close(worthwhile, given.worthwhile);
  const change = changeBetween(at(given.before), at(given.after), form, worthwhile);
  close(change.changeMs, given.change);
  close(change.sdMs, given.sd);
  close(change.df, given.df);
  close(change.detectableMs, given.detectable);
  close(change.fasterChance, given.chanceFaster);
  close(change.slowerChance, given.chanceSlower);
  expect(change.words).toBe(given.words);
});
