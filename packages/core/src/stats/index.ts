export {
  CLOSER_DURATIONS,
  closerLook,
  type CloserDuration,
  type CloserLook,
  type MedianWithDoubt,
  type RepColumns,
} from './closer-look.js';
export { isItBetter, type Better, type NotComparable } from './better.js';
export {
  CHANGE_WORDS,
  changeBetween,
  detectableChange,
  isClear,
  ownWorthwhileChange,
  readChange,
  type Change,
  type ChangeWord,
  type Estimate,
} from './change.js';
export { compareTimes, quantileCurve, type Comparison } from './compare.js';
export {
  byDay,
  DAY_MS,
  dayNumber,
  daysOfRungs,
  groupBy,
  kindOf,
  leansByDay,
  likenessOf,
  speedAgainstTechnique,
  standardTest,
  tradeOf,
  trainingDays,
  type CourseSet,
  type SpeedForTechnique,
  type Trade,
} from './course.js';
export {
  dayForm,
  USUAL_DAY_FORM,
  type DayForm,
  type TrainingDay,
  type UsualDayForm,
  type Variance,
} from './day-form.js';
export {
  exGaussianCdf,
  exGaussianLogPdf,
  FEWEST_TIMES,
  fitExGaussian,
  type ExGaussian,
  type ExGaussianFit,
} from './ex-gaussian.js';
export { FADE_WORDS, fadeOf, type Fade, type FadeWord } from './fade.js';
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
  bootstrapMoments,
  bootstrapQuantile,
  medianBootstrap,
  medianInterval,
  type MedianBootstrap,
} from './median-bootstrap.js';
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
  PAIRS,
  suggestPairs,
  type PairOf,
  type PairSide,
  type SuggestedPair,
} from './suggest-pairs.js';
export {
  isLean,
  isNewLean,
  leanChange,
  leansAnew,
  sideLean,
  type LeanChange,
  type SideLean,
} from './side-lean.js';
export {
  mostly,
  SEASON_PHASES,
  seasonOf,
  whereItWent,
  type PhaseChange,
  type SeasonDay,
  type SeasonPhase,
  type SeasonStretch,
} from './season.js';
export { shortCourse, type ShortCourse } from './short-course.js';
export {
  athleteForm,
  NO_SQUAD,
  squadForm,
  squadFormOf,
  type AthleteForm,
  type SquadForm,
} from './squad-form.js';
export {
  isNotSeenLately,
  LATELY_DAYS,
  leanOf,
  standingOf,
  usualSpans,
  type Spans,
  type Standing,
} from './standing.js';
export { coachEventFigures, type CoachEventFigures } from './coach-events.js';
export { summariseSet, type DurationSummary, type LeftOut, type SetSummary } from './summary.js';
export { targetFigures, travelLine, type TargetFigures, type TravelLine } from './targets.js';
export { slopeInterval, theilSen, type Line } from './theil-sen.js';
export {
  minimalDetectableChange,
  smallestWorthwhileChange,
  typicalError,
} from './typical-error.js';
export { hodgesLehmannShift, mannWhitney, shiftInterval, type MannWhitney } from './two-samples.js';
