import type { Fault } from '@orthokin/core/timing';
import { fault as en } from './en/fault.js';
import { speaker } from './say.js';

const say = speaker(en);

/** One line to say on the floor, and a drill that mends the fault. */
export const FAULT_HELP: Readonly<Record<Fault, { readonly say: string; readonly mend: string }>> =
  {
    'false start': { say: say('falseStartSay'), mend: say('falseStartMend') },
    missed: { say: say('missedSay'), mend: say('missedMend') },
    'wrong way': { say: say('wrongWaySay'), mend: say('wrongWayMend') },
    'moved on a catch trial': {
      say: say('movedOnACatchTrialSay'),
      mend: say('movedOnACatchTrialMend'),
    },
    'short of home': { say: say('shortOfHomeSay'), mend: say('shortOfHomeMend') },
    'early split': { say: say('earlySplitSay'), mend: say('earlySplitMend') },
    'late split': { say: say('lateSplitSay'), mend: say('lateSplitMend') },
    lean: { say: say('leanSay'), mend: say('leanMend') },
    'narrow base': { say: say('narrowBaseSay'), mend: say('narrowBaseMend') },
    'flat feet': { say: say('flatFeetSay'), mend: say('flatFeetMend') },
    'feet still moving at the action': {
      say: say('feetStillMovingAtTheActionSay'),
      mend: say('feetStillMovingAtTheActionMend'),
    },
    detour: { say: say('detourSay'), mend: say('detourMend') },
    'steps not quickening': {
      say: say('stepsNotQuickeningSay'),
      mend: say('stepsNotQuickeningMend'),
    },
    'off rhythm': { say: say('offRhythmSay'), mend: say('offRhythmMend') },
  };
