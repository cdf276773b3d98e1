export const budget = {
  reachKnown:
    '{name} takes what comes {reach} from where they stand ({from, select, measured {measured{held, select, none {} hand { with the hand} paddle { with a table tennis bat} other { with a {held}}}} height {an arm for their height, without what is held} other {as the pattern is laid}}), so the way is so much shorter.',
  reachUnknown:
    'Neither reach nor height of {name} is known: they are taken to go all the way to where it is taken.',
  letterNeedsMetresTimes: '{letter} needs {metres} in {timeS}',
  nameSOwnLineSaysNeedsms: '{name}’s own line says {needsMs}',
  needsBestReachSparemsSpareLoad: '{needs}; {best}: in reach, {spareMs} to spare, load {stance}.',
  needsBestOnlyJustWithinWhat: '{needs}; {best}: only just, within what single ways differ by.',
  needsBestOutReachSparems: '{needs}; {best}: out of reach by {spareMs}.',
  leastMost: '{least} to {most} %',
  whatWallBounceTake: ' and what wall or bounce take',
  distanceOverSpeedWouldSayRange:
    'Distance over speed would say {range} too little: it leaves out drag{which}.',
  projectileFrommetrespersecondUnitOverMetresLetter:
    '{projectile}, {fromMetresPerSecond} {unit} over {metres} to {letter}',
  nameReactionReactionmsSpeedingUpAcceleration:
    '{name}: reaction {reactionMs}, speeding up at {acceleration} m/s² to {topSpeed} m/s, by {n} timed ways; single ways lie about {residualSdS} off that line.',
  lobbedOver: '{projectile} lobbed, {fromMetresPerSecond} {unit} over {metres} to {letter}',
  spareYes: '+{s}',
  spareJust: '≈ +{s}',
  spareJustUnder: '≈ −{s}',
  spareNo: '× −{s}',
  forwardBy: '{m} further forward',
  backBy: '{m} further back',
  rightBy: '{m} to the right',
  leftBy: '{m} to the left',
  plusS: '{s} s in time',
  minusS: '{s} s late',
  bestHome:
    'Waiting {aside} (green ring), {name}’s tightest target would be {then} instead of {now}.',
  noRecovery: 'No time for the way home from {letters}, going back: {problem}',
  tooSlow: 'it is too slow to get there so.',
  bouncesTwice: 'it would come down once more before it gets there.',
} as const;
