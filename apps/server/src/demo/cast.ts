import type { AgeBand } from '@orthokin/core/people';
import type { ColourVision, Side } from '@orthokin/core/floor';
import { TYPICAL_ATHLETE, type SimulatedAthlete } from '@orthokin/core/simulation';
import type { DemoPattern } from './patterns.js';

export interface DemoAthlete {
  readonly name: string;
  readonly hand: Side;
  readonly ageBand: AgeBand;
  readonly colourVision: ColourVision;
  readonly note: string | null;
  readonly heightM?: number;
  readonly shoulderM?: number;
  readonly pattern: DemoPattern;
  readonly model: SimulatedAthlete;
  /** From this session on another model applies, after something has happened to the athlete. */
  readonly later?: { readonly fromSession: number; readonly model: SimulatedAthlete };
}

interface Traits {
  readonly mu: number;
  readonly tau: number;
  readonly acceleration: number;
  readonly topSpeed: number;
  readonly gain: number;
  readonly fade: number;
  readonly weak: readonly [Side, number] | null;
  readonly early: number;
  /** Standard deviation of the day form, as a share of the times. */
  readonly form?: number;
}

const modelOf = (traits: Traits) => {
  const { mu, tau, acceleration, topSpeed, gain, fade, weak, early, form = 0.02 } = traits;
  return {
    ...TYPICAL_ATHLETE,
    reaction: { muMs: mu, sigmaMs: 20, tauMs: tau },
    travel: { acceleration, topSpeed },
    learning: { gain, ratePerSession: 0.14 },
    fadePerRep: fade,
    weakSide: weak && { side: weak[0], factor: weak[1] },
    falseStartShare: early,
    dayFormSd: form,
  };
};

const LOTTE = {
  ...{ mu: 224, tau: 34, acceleration: 9.5, topSpeed: 3.8 },
  ...{ gain: 0.3, fade: 0.009, early: 0.01 },
};

/** The people of the demo club, all invented. */
export const DEMO_CLUB = 'Tiller Lane Squash';

export const DEMO_CAST: readonly DemoAthlete[] = [
  {
    name: 'Amara Quill',
    hand: 'right',
    ageBand: 'under 15',
    colourVision: 'full',
    note: null,
    pattern: 'star',
    model: modelOf({
      mu: 212,
      tau: 30,
      acceleration: 15,
      topSpeed: 4.7,
      gain: 0.3,
      fade: 0.003,
      weak: ['left', 1.05],
      early: 0.02,
    }),
  },
  {
    name: 'Cass Ondry',
    hand: 'left',
    ageBand: 'adult',
    colourVision: 'full',
    note: null,
    pattern: 'starLeft',
    model: modelOf({
      mu: 220,
      tau: 38,
      acceleration: 14,
      topSpeed: 4.5,
      // Nothing but the day form changes in eight weeks: any change a page claims is a false alarm.
      gain: 0,
      form: 0.02,
      fade: 0.005,
      weak: ['right', 1.07],
      early: 0.03,
    }),
  },
  {
    name: 'Idris Fennimar',
    hand: 'right',
    ageBand: 'under 17',
    colourVision: 'red-green',
    note: null,
    pattern: 'star',
    model: modelOf({
      mu: 205,
      tau: 28,
      acceleration: 15.5,
      topSpeed: 4.8,
      gain: 0.28,
      fade: 0.004,
      weak: ['left', 1.12],
      early: 0.02,
    }),
  },
  {
    name: 'Juno Marlock',
    hand: 'right',
    ageBand: 'under 13',
    colourVision: 'full',
    note: null,
    pattern: 'cross',
    model: modelOf({
      mu: 232,
      tau: 45,
      acceleration: 12.5,
      topSpeed: 4.2,
      gain: 0.34,
      fade: 0.006,
      weak: null,
      early: 0.05,
    }),
  },
  {
    name: 'Lotte Brandvane',
    hand: 'right',
    ageBand: 'adult',
    colourVision: 'full',
    note: 'Back from a calf strain: cleared work only.',
    pattern: 'line',
    model: modelOf({ ...LOTTE, weak: null }),
    // The strained calf is spared again.
    later: { fromSession: 12, model: modelOf({ ...LOTTE, weak: ['right', 1.14] }) },
  },
  {
    name: 'Oskar Tvedmoor',
    hand: 'left',
    ageBand: 'under 15',
    colourVision: 'full',
    note: null,
    pattern: 'cross',
    model: modelOf({
      mu: 208,
      tau: 32,
      acceleration: 14,
      topSpeed: 4.6,
      gain: 0.26,
      fade: 0.004,
      weak: ['right', 1.05],
      early: 0.14,
    }),
  },
  {
    name: 'Rafe Lindhollow',
    ...{ heightM: 1.86, shoulderM: 0.47 },
    hand: 'right',
    ageBand: 'adult',
    colourVision: 'full',
    note: null,
    pattern: 'cross',
    model: modelOf({
      mu: 236,
      tau: 50,
      acceleration: 13,
      topSpeed: 4.4,
      gain: 0.18,
      fade: 0.007,
      weak: ['left', 1.09],
      early: 0.02,
    }),
  },
  {
    name: 'Wren Hallowby',
    heightM: 1.36,
    hand: 'right',
    ageBand: 'under 11',
    colourVision: 'full',
    note: null,
    pattern: 'line',
    model: modelOf({
      mu: 246,
      tau: 52,
      acceleration: 10.5,
      topSpeed: 3.9,
      gain: 0.4,
      fade: 0.006,
      weak: ['left', 1.06],
      early: 0.06,
    }),
  },
];
