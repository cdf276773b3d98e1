import { OWN_FAULTS, SEEN_FAULTS, type Fault, type FaultWords } from '@orthokin/core/timing';
import { fault as en } from './en/fault.js';
import { speaker } from './say.js';

const say = speaker(en);

/** What a club calls its own it says itself. */
const OF_ONES_OWN = {
  ...{ 'own 1': { say: '', mend: '' }, 'own 2': { say: '', mend: '' } },
  ...{ 'own 3': { say: '', mend: '' }, 'own 4': { say: '', mend: '' } },
  ...{ 'own 5': { say: '', mend: '' }, 'own 6': { say: '', mend: '' } },
} as const;

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
    ...OF_ONES_OWN,
  };

function usualName(fault: Fault): string {
  if (OWN_FAULTS.some((one) => one === fault)) return say('withoutName');
  return fault === 'moved on a catch trial' ? say('movedOnACatchTrial') : fault;
}

/** A fault as this club calls it, what to say of it, and what mends it. */
export function faultWords(fault: Fault, own: readonly FaultWords[]): Omit<FaultWords, 'fault'> {
  const said = own.find((one) => one.fault === fault);
  const usual = FAULT_HELP[fault];
  return {
    name: said?.name || usualName(fault),
    say: said?.say || usual.say,
    mend: said?.mend || usual.mend,
  };
}

/** Faults that can be seen and have a name: the usual ones, and a club's own. */
export const namedFaults = (own: readonly FaultWords[]): Fault[] =>
  SEEN_FAULTS.filter(
    (fault) =>
      !OWN_FAULTS.some((one) => one === fault) ||
      own.some((one) => one.fault === fault && one.name !== ''),
  );
