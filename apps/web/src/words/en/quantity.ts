export const quantity = {
  reactionName: 'Reaction',
  reactionMeans: 'How long it takes to read the cue and set off.',
  reactionHow:
    'From the moment the cue can be seen or heard until the first movement that carries the body toward a target. The split-step is no such movement. Sooner than 0.1 s after the cue is a false start, and is never averaged.',
  reactionSure:
    'By hand each time has an error of about ±0.05 s until the hand is calibrated; beacons and film say their own. The middle of many reps is surer than any one of them.',
  travelName: 'Travel',
  travelMeans: 'The way out: how long the feet are under way.',
  travelHow: 'From the first move until the loading foot is planted at the target.',
  travelSure:
    'It has the errors of both its ends. Times of far and near targets are only compared after the distance is taken out.',
  loadName: 'Load',
  loadMeans: 'How long the athlete stands loaded before the action.',
  loadHow: 'From the loading foot planted until the strike, throw, catch or touch.',
  loadSure: 'It is short, so by hand its error is large beside it: read it off film or beacons.',
  recoveryName: 'Recovery',
  recoveryMeans: 'The way back to being ready.',
  recoveryHow: 'From the action until both feet are inside home base and settled, in stance.',
  recoverySure: 'Settled is for an eye to say: let the same person press it.',
  responseName: 'Response',
  responseMeans: 'From the cue until the athlete is there.',
  responseHow:
    'Reaction and travel together: from the cue until the loading foot is planted at the target.',
  responseSure: 'It has the errors of both its ends.',
  cycleName: 'Cycle',
  cycleMeans: 'All of it: from the cue until ready again.',
  cycleHow: 'From the cue until both feet are home and settled.',
  cycleSure: 'The longest of the times, and so the surest in per cent.',
  splitOffsetName: 'Split offset',
  splitOffsetMeans: 'Whether the split-step lands with the cue.',
  splitOffsetHow:
    'Landing less cue: below zero the feet were down before it. The pattern says which window is good.',
  splitOffsetSure: 'Only a mat or film sees it well; by hand it is a guess.',
  readyMarginName: 'Time left before the next cue',
  readyMarginMeans: 'How long the athlete stood ready before the next cue came.',
  readyMarginHow: 'The next cue less home. Below zero the cue came before the athlete was home.',
  readyMarginSure: 'It has the errors of home and of the next cue.',
  medianName: 'Middle rep',
  medianMeans: 'The usual rep: half were faster, half slower.',
  medianHow:
    'The median of the reps that count. Unlike an average it does not move because one rep went very wrong.',
  medianSure:
    'The interval beside it says where the true middle lies, 95 times of a hundred; more reps make it narrower.',
  middleHalfName: 'Middle half',
  middleHalfMeans: 'How much the reps differ from each other.',
  middleHalfHow:
    'A quarter of the reps were faster than its first figure, a quarter slower than its second.',
  middleHalfSure: 'Narrow is steady. With fewer than eight reps it says little.',
  limitName: 'Limit',
  limitMeans: 'The time this rung asks for.',
  limitHow:
    'From the time the game leaves, from the athlete’s own best quarter, or from the coach’s number: the source stands beside it. Each target can have its own.',
  limitSure: 'A limit is a choice: it is as good as what it came from.',
  countedName: 'Counted reps',
  countedMeans: 'The reps that take part in the times.',
  countedHow:
    'All that were called, less false starts, missed ones, tests (no cue, changed cue, freeze) and what the coach struck out. A slow rep is flagged and kept.',
  countedSure: 'It is a count. Fewer than the rung asks is no evidence.',
  verdictName: 'Inside, over, too close',
  verdictMeans: 'Whether a rep kept its limit, error included.',
  verdictHow:
    'Inside when its true time was within the limit with 95 % certainty; over when it was not, with the same; in between it is too close to call.',
  verdictSure:
    'It already holds the error of what timed it. Too close is an honest answer: time it more finely.',
  cleanName: 'Technique',
  cleanMeans: 'How many reps had none of the watched faults.',
  cleanHow:
    'Reps without a watched fault out of all that were called. Nothing is added in speed while this fails.',
  cleanSure: 'As good as the eye that watched. Nobody watching is not the same as clean.',
  wentEarlyName: 'Went early',
  wentEarlyMeans: 'Set off before the cue could have been read.',
  wentEarlyHow:
    'Reps whose first move came sooner than 0.1 s after the cue, out of all that were called; the rung says how many are allowed.',
  wentEarlySure: 'One or two can happen to anybody; cues that can be guessed make more.',
  catchTrialsName: 'Held when nothing was called',
  catchTrialsMeans: 'Whether the athlete waits for the cue.',
  catchTrialsHow:
    'Now and then ready is said and nothing called. Held is when nobody moved; the rung says how many must be.',
  catchTrialsSure: 'There are few of them in one set: look at several.',
  spreadName: 'Spread',
  spreadMeans: 'How steady the reps are.',
  spreadHow: 'The middle half’s width as a share of the middle rep.',
  spreadSure: 'With fewer than eight reps it says little.',
  changeName: 'Is it better?',
  changeMeans: 'Whether the athlete changed, or only had another day.',
  changeHow:
    'The days after less the days before, every day weighing alike, held against how much days differ though nothing was learnt.',
  changeSure:
    'Clearly: of a hundred who did not change at most five are told so. Probably: likely, not proven. More days make it surer, more sets on one day hardly do.',
  heldByName: 'Held back by',
  heldByMeans: 'Which limit keeps the next rung away.',
  heldByHow: 'The gate the newest sets failed most, and in how many of the last ones.',
  heldBySure:
    'It stands out only when there were enough sets that it is not chance; over the whole page at most one in twenty is false.',
  sidesName: 'Left and right',
  sidesMeans: 'Whether one side is slower.',
  sidesHow: 'The slower side’s extra time in per cent of both, over days, distances taken out.',
  sidesSure:
    'It is said to be different only when the interval leaves zero out; new only when that is not chance over the whole squad.',
  slowTargetName: 'Slow target',
  slowTargetMeans: 'A target that costs more than its distance explains.',
  slowTargetHow:
    'The athlete’s own times are fitted to the distances; what is left over at a target is its own.',
  slowTargetSure: 'With few reps at a target one of them moves it: read the interval.',
  fadeName: 'Fade',
  fadeMeans: 'Whether the athlete slowed down within the set.',
  fadeHow: 'The middle of all slopes between two reps, and the last third held against the first.',
  fadeSure:
    'Said only when the interval leaves zero out: of a hundred sets without a fade at most three are called faded, or sped up.',
  coachEventName: 'An event of your own',
  coachEventMeans: 'Something you look for under a name of yours: prepared, bounce, let go.',
  coachEventHow:
    'Marked on film at the first frame that shows it, and counted from the cue and from arriving; less than 0 is before.',
  coachEventSure:
    'To the gap between two frames and to how surely you mark; mark again, blind, to know that.',
  rungName: 'Rung',
  rungMeans: 'A step of the ladder: what is asked, and how fast.',
  rungHow:
    'Targets in play, their order, the pace, what is done there, and the gates. One thing grows at a time.',
  rungSure: 'Passing a rung is evidence, not proof: the rule says how large the risk is.',
  evidenceName: 'Evidence so far',
  evidenceMeans: 'How near the rule is to saying: move up.',
  evidenceHow:
    'Each set passes when it keeps every gate. The rule counts the last ones, or adds up their odds until it is sure enough.',
  evidenceSure: 'Under the rules you can see how often a rule moves somebody up too soon.',
  lostName: 'Lost reps',
  lostMeans: 'Whether the demand is right.',
  lostHow:
    'Reps that were missed or did not count out of all that were called. About one in five is right; under one in twenty it is too easy.',
  lostSure: 'Under twenty reps nothing is said.',
  guessableName: 'How guessable',
  guessableMeans: 'How often somebody who knows the order would guess the next cue.',
  guessableHow:
    'From lists drawn the same way, the best guess from the last cues; beside it stands what blind guessing gives.',
  guessableSure: 'The closer the two, the more a reaction is a reaction.',
  shortCourseName: 'The last days',
  shortCourseMeans: 'Where the time that decides is going.',
  shortCourseHow:
    'A point a training day: the middle of its sets in the duration nearest its limit. The line is the limit.',
  shortCourseSure: 'Two days differ though nothing was learnt: look at all of them.',
  means: 'What it means',
  how: 'How it is worked out',
  sure: 'How sure it is',
  glossary: 'All words and figures',
  backToReview: 'Back to review',
  everyFigure: 'What every figure means',
  wordsOfTheFloor:
    'As they are called everywhere in the app. All times are in seconds, from the cue.',
} as const;
