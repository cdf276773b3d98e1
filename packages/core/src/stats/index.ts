export {
  CLOSER_DURATIONS,
  closerLook,
  type CloserDuration,
  type CloserLook,
  type MedianWithDoubt,
  type RepColumns,
} from './closer-look.js';
export {
  bootstrapInterval,
  bootstrapInterval2,
  USUAL_RESAMPLES,
  type BootstrapSettings,
  type Statistic,
} from './bootstrap.js';
export {
  CHANGE_WORDS,
  changeBetween,
  minimalDetectableChange,
  OWN_WORTHWHILE_SHARE,
  smallestWorthwhileChange,
  typicalError,
  type Change,
  type ChangeWord,
} from './change.js';
export { compareTimes, quantileCurve, type Comparison } from './compare.js';
export {
  byDay,
  groupBy,
  isItBetter,
  kindOf,
  likenessOf,
  repeats,
  speedAgainstTechnique,
  standardTest,
  type Better,
  type CourseSet,
} from './course.js';
export {
  exGaussianCdf,
  exGaussianLogPdf,
  FEWEST_TIMES,
  fitExGaussian,
  type ExGaussian,
  type ExGaussianFit,
} from './ex-gaussian.js';
export { fadeOf, type Fade } from './fade.js';
export { hickLine, USUAL_MS_PER_BIT, type HickLine } from './hick.js';
export { contains, LEVEL, type Interval } from './interval.js';
export { kendall, type Kendall } from './kendall.js';
export {
  curveAt,
  fitLearningCurve,
  forecast,
  type Forecast,
  type ForecastSettings,
  type LearningCurve,
} from './learning.js';
export {
  differencesFrom,
  medianRep,
  PHASE_DURATIONS,
  type PhaseDifference,
  type PhaseDuration,
} from './reference-rep.js';
export {
  COURSE_DURATIONS,
  isClean,
  setFigures,
  type CourseDuration,
  type SetFigures,
} from './set-figures.js';
export { asymmetry, asymmetryPercent, mirroredLetters, type Asymmetry } from './sides.js';
export {
  sideDrift,
  standingOf,
  usualSpans,
  type SideDrift,
  type Spans,
  type Standing,
} from './standing.js';
export { summariseSet, type DurationSummary, type LeftOut, type SetSummary } from './summary.js';
export { targetFigures, travelLine, type TargetFigures, type TravelLine } from './targets.js';
export { slopeInterval, theilSen, type Line } from './theil-sen.js';
export { hodgesLehmannShift, mannWhitney, shiftInterval, type MannWhitney } from './two-samples.js';
