export const change = {
  over99: 'over 99 %',
  under1: 'under 1 %',
  wordsDurationCourseSame: '{words}: {duration} {course}, the same.',
  standsNoNumberDaysWouldMake:
    'As it stands no number of days would make it clear: run the standard test again after some weeks.',
  aboutMoredaysLikeLastWouldMake:
    'About {moreDays, plural, one {# more day} other {# more days}} like the last would make it clearly {way}.',
  restsDaysbeforeBeforeDaysafterAfter:
    'It rests on {daysBefore, plural, one {# day} other {# days}} before and {daysAfter, plural, one {# day} other {# days}} after',
  heldTowardWhatUsualSquad: 'held toward what is usual in the squad',
  heldTowardWhatUsual: 'held toward what is usual',
  daysDifferAboutDaymsThoughNothing:
    'days differ by about ±{dayMs} though nothing is learnt ({which})',
  daysHardlyDifferThoughNothing:
    'days differ by less than 0.01 s though nothing is learnt ({which})',
  moreThanDetectablemsSuchDaysAlone:
    'more than the {detectableMs} that such days alone would seldom make',
  withinDetectablemsSuchDaysAloneCan: 'within the {detectableMs} that such days alone can make',
  fifthSquadsSpread: 'a fifth of the squad’s spread',
  threeTenthsWhatOneSetVaries: 'three tenths of what one set varies by',
  daysOwnSoChangeReachChance:
    '{days}; {own}, so the change is {reach}. Chance that it is faster by at least {worthwhileMs} ({worth}): {chanceWords}; slower by as much: {chanceWords2}.',
  notComparedYetTakesSetsTwo:
    'Not to be compared yet: it takes sets of two days that are alike in pattern version, rung, timing and kind of cue. Run the standard test again.',
  notComparedOneDayStandsBoth:
    'Not to be compared: one day stands in both spans. Choose spans that share no day.',
  noForecastYetGivenSessionsAllowed: 'No forecast yet: {given} sessions, {allowed} needed.',
  courseHasReachedLimitCurveMet:
    'The course has reached {limit}: the curve met it in session {metAt}.',
  curveLimitNowButItsDays:
    'The curve is at {limit} now, but its days scatter: {chanceWords} of resampled courses have reached it.',
  notThisCourseWithinNextHorizon:
    'Not on this course: within the next {horizon, plural, one {# session} other {# sessions}} the curve does not reach {limit} ({chanceWords} of resampled courses do).',
  fromSessionLowPerhapsNever: 'from session {low}, and perhaps never',
  betweenSessionsLowHigh: 'between sessions {low} and {high}',
  thisCourseLimitMetAboutMetat:
    'On this course {limit} is met in about {metAt, plural, one {# more session} other {# more sessions}}: session {metAt2}, 95 % {range}.',
  tooFewDaysSayWhetherSpeed:
    'Too few days to say whether speed is bought with technique ({n}, 6 needed).',
  overNDaysRankCorrelationDuration:
    'over {n} days, rank correlation of {duration} and clean share {tau}',
  noSignSpeedBoughtTechniqueFigures:
    'No sign that speed is bought with technique ({figures}, could be chance).',
  speedBoughtTechniqueFasterDayFewer:
    'Speed is bought with technique: the faster the day, the fewer clean reps ({figures}). Ease the pace until they are clean.',
  fasterDaysAlsoCleanerOnesFigures: 'The faster days are also the cleaner ones ({figures}).',
  wordsCourseLess: '{words}: {duration} {course}, {by} less.',
  wordsCourseMore: '{words}: {duration} {course}, {by} more.',
} as const;
