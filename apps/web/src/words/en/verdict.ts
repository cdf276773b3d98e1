export const verdict = {
  toocloseTooCloseCall: ', {tooClose} too close to call',
  ordinalFastestTookLimitms: '; the {ordinal} fastest took {limitMs}',
  ordinalBestWasOver: '; the {ordinal} best was {overMs} over its own',
  coachEventGate:
    '{event}: {passes} of {n} {limit}, {fails} later{close}; {needed} needed{decisive}.',
  coachEventLate: '; the {ordinal} best came {overMs} late',
  butOnlyPassesKeptEveryLimit: 'But only {passes} kept every limit at once; {needed} needed.',
  heldTrialsHeld:
    'Held still in {held} of {trials, plural, one {# wait} other {# waits}} without a cue.',
  leftOutParts: 'Left out: {parts}.',
  noRepWasLeftOut: 'No rep was left out.',
  leftFarSlowerThanRestBut: '{left} Far slower than the rest, but kept: {slow}.',
  madeSimulatedAthleteExactNeverPooled:
    'Made by the simulated athlete: exact, and never pooled with sets of other sources.',
  nobodyTimedThisSetOnlyIts: 'Nobody timed this set: only its cues are known.',
  oneReactionSureToSd: ': one reaction is sure to ±{sd}',
  howSureRepNearerItsLimit:
    '{source, select, hand {Timed by hand} sensor {Timed by sensors} other {Timed on film}}{sure}. A rep nearer to its limit than its error allows is too close to call.',
  whichRepsSource: '{which} {reps} by {source}',
  slowestHomeFromLetterNameRecoveryms: 'Slowest home from {letter}, {name}: {recoveryMs}.',
  gatePassesNInsideLimitmsFails:
    '{gate}: {passes} of {n} inside {limitMs}, {fails} over{close}; {needed} needed{decisive}.',
  falsestartsCuedrepsCuesAllowedAllowed:
    '{falseStarts, plural, one {# false start} other {# false starts}} in {cuedReps} cues; {allowed} allowed.',
} as const;
