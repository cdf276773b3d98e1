import { ok, wrong, type Result } from '../result/index.js';
import {
  LATE_COLOURS,
  LATE_SIDES,
  type Cue,
  type FreezeAt,
  type LateCue,
  type LateKind,
} from './cue.js';
import { drawForeperiod, foreperiodProblem, type Foreperiod } from './foreperiod.js';
import { orderOf, type OrderSettings } from './order.js';
import { shuffled, uniform, type Random } from './random.js';

/** Most cues in a set; ten are usual. */
export const MAX_REPS = 200;
/** When a switched cue changes, ms after it came. */
export const USUAL_SWITCH_AFTER_MS = 120;
/** Farthest that a helper moves a target between reps, m. */
export const MAX_MOVED_M = 2;

/** All that a schedule of cues is drawn from: the same settings give the same schedule. */
export interface ScheduleSettings extends OrderSettings {
  readonly foreperiod: Foreperiod;
  /** Shares of the reps, 0 to 1; together not more than 1. */
  readonly catchShare: number;
  readonly switchShare: number;
  readonly freezeShare: number;
  readonly switchAfterMs: number;
  readonly freezeAt: FreezeAt;
  /** What each arrival shows; `null` for nothing. */
  readonly late: LateKind | null;
  /** A helper moves the target by up to this, in or out, metres; 0 for not at all. */
  readonly varyM: number;
}

/** Nothing out of the ordinary: every rep a plain one. */
export const PLAIN_TRIALS = {
  catchShare: 0,
  switchShare: 0,
  freezeShare: 0,
  switchAfterMs: USUAL_SWITCH_AFTER_MS,
  freezeAt: 'load',
  late: null,
  varyM: 0,
} as const satisfies Partial<ScheduleSettings>;

function orderProblem(settings: OrderSettings): Result<never> | null {
  const { order, targets, reps, maxRun, list = [], weights = {} } = settings;
  if (targets.length === 0) return wrong('targets', targets, 'at least one target');
  if (new Set(targets).size < targets.length) return wrong('targets', targets, 'each target once');
  if (!Number.isInteger(reps) || reps < 1 || reps > MAX_REPS)
    return wrong('reps', reps, `a whole number from 1 to ${MAX_REPS}`);
  if (!Number.isInteger(maxRun) || maxRun < 1) return wrong('maxRun', maxRun, '1 or more');
  const stray = list.findIndex((letter) => !targets.includes(letter));
  if (stray >= 0) return wrong(`list[${stray}]`, list[stray], targets.join(', '));
  const light = targets.find((letter) => !((weights[letter] ?? 1) > 0));
  if (light !== undefined) return wrong(`weights.${light}`, weights[light], 'more than 0');
  const drawn = order === 'shuffled' || order === 'chained' || order === 'free';
  if (drawn && targets.length === 1 && reps > maxRun)
    return wrong('maxRun', maxRun, `at least ${reps} when only one target is in play`);
  return null;
}

const SHARES = ['catchShare', 'switchShare', 'freezeShare'] as const;

function trialProblem(settings: ScheduleSettings): Result<never> | null {
  for (const name of SHARES)
    if (!(settings[name] >= 0 && settings[name] <= 1)) return wrong(name, settings[name], '0 to 1');
  const together = SHARES.reduce((sum, name) => sum + settings[name], 0);
  if (together > 1 + 1e-9)
    return wrong(SHARES.join(' + '), together, 'not more than 1: a rep is one of these or plain');
  if (settings.switchShare > 0 && settings.targets.length < 2)
    return wrong('switchShare', settings.switchShare, '0 when only one target is in play');
  if (!(settings.switchAfterMs > 0 && settings.switchAfterMs <= 1000))
    return wrong('switchAfterMs', settings.switchAfterMs, 'more than 0, at most 1000 ms');
  if (!(settings.varyM >= 0 && settings.varyM <= MAX_MOVED_M))
    return wrong('varyM', settings.varyM, `0 to ${MAX_MOVED_M} m`);
  return null;
}

const oneOf = <T>(items: readonly T[], random: Random): T =>
  items[Math.floor(random() * items.length)] as T;

const lateCue = (kind: LateKind, random: Random): LateCue => ({
  kind,
  show: kind === 'colour' ? oneOf(LATE_COLOURS, random) : oneOf(LATE_SIDES, random),
});

/**
 * Which reps are catch, switch and freeze trials. The first is none of them: a set opens with a
 * rep that is what it seems.
 */
function trialsAt(settings: ScheduleSettings, random: Random) {
  const { reps } = settings;
  const later = Array.from({ length: reps - 1 }, (_, i) => i + 1);
  // A plain schedule must not change with the ways there are to make one that is not.
  const places = SHARES.some((name) => settings[name] > 0) ? shuffled(later, random) : [];
  const take = (share: number) => new Set(places.splice(0, Math.round(share * reps)));
  return {
    catches: take(settings.catchShare),
    switches: take(settings.switchShare),
    freezes: take(settings.freezeShare),
  };
}

/**
 * When and what to call. The same settings and seed give the same schedule. Catch trials come in
 * between: the order of the targets that are really called stays what it was asked to be. A
 * `called` order has no schedule: its cues come one by one, from a person.
 */
export function makeSchedule(settings: ScheduleSettings, random: Random): Result<Cue[]> {
  const problem =
    orderProblem(settings) ?? foreperiodProblem(settings.foreperiod) ?? trialProblem(settings);
  if (problem) return problem;
  if (settings.order === 'called') return ok([]);
  const { reps, targets, switchAfterMs, freezeAt, late, varyM } = settings;
  const { catches, switches, freezes } = trialsAt(settings, random);
  const letters = orderOf({ ...settings, reps: Math.max(1, reps - catches.size) }, random);
  let called = 0;
  const cues = Array.from({ length: reps }, (_, i): Cue => {
    const isCatch = catches.has(i);
    const target = letters[Math.min(called, letters.length - 1)] as string;
    if (!isCatch) called++;
    return {
      ordinal: i + 1,
      target,
      foreperiodMs: drawForeperiod(settings.foreperiod, random),
      ...(isCatch && { catch: true }),
      ...(switches.has(i) && {
        switchTo: {
          target: oneOf(
            targets.filter((letter) => letter !== target),
            random,
          ),
          afterMs: switchAfterMs,
        },
      }),
      ...(freezes.has(i) && { freezeAt }),
      ...(late && !isCatch && { late: lateCue(late, random) }),
      ...(varyM > 0 &&
        !isCatch && { movedM: Math.round(uniform(random, -varyM, varyM) * 10) / 10 }),
    };
  });
  return ok(cues);
}

/** Draws so often for cues that do not go on with the target the set ended on. */
const MOST_DRAWS = 20;

/**
 * Cues for reps that a set may come to owe, after its own: drawn after them, so that the set itself
 * is the same whether or not any are added. No catch trial is among them: what is owed is work.
 */
export function addedCues(
  settings: ScheduleSettings,
  cues: readonly Cue[],
  most: number,
  random: Random,
): Result<Cue[]> {
  const last = cues.at(-1)?.target;
  const draw = () => makeSchedule({ ...settings, catchShare: 0, reps: most }, random);
  let added = draw();
  for (let draws = 1; draws < MOST_DRAWS; draws++) {
    if (!added.ok || added.value[0]?.target !== last) break;
    added = draw();
  }
  return added.ok
    ? ok(added.value.map((cue, i) => ({ ...cue, ordinal: cues.length + i + 1 })))
    : added;
}
