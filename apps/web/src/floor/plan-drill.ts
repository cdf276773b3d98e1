import type { ClubReply, DrillSetupReply } from '@orthokin/contract';
import { seededRandom, shuffledSchedule } from '@orthokin/core/cue';
import { rungOf } from '@orthokin/core/pattern';
import type { Result } from '@orthokin/core/result';
import { DEFAULT_FALSE_START_MS, DEFAULT_RESPONSE_LIMIT_MS } from '@orthokin/core/timing';
import { v7 } from 'uuid';
import type { DrillPlan } from '../drill/run.js';

/** From home to the next cue: long enough to be ready, varied enough not to be guessed. */
export const FOREPERIOD_MS = [900, 1900] as const;
export const MAX_RUN = 2;

export interface DrillChoices {
  readonly source: DrillPlan['source'];
  readonly reps: number;
  readonly withTone: boolean;
}

/** The calendar day where the device is. */
function localDay(at: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** A set on the athlete's own rung, its cues drawn from the seed. */
export function planDrill(
  club: ClubReply,
  setup: DrillSetupReply,
  choices: DrillChoices,
  seed: number,
  startedAtEpochMs: number,
): Result<DrillPlan> {
  const rung = rungOf(setup.pattern, setup.rung);
  const schedule = shuffledSchedule(
    {
      targets: rung?.targets ?? [],
      reps: choices.reps,
      maxRun: MAX_RUN,
      foreperiodMs: FOREPERIOD_MS,
    },
    seededRandom(seed),
  );
  if (!schedule.ok) return schedule;
  const startedAt = new Date(startedAtEpochMs);
  return {
    ok: true,
    value: {
      id: v7(),
      clubId: club.clubId,
      athlete: setup.athlete,
      pattern: setup.pattern,
      rung: setup.rung,
      source: choices.source,
      seed,
      cues: schedule.value,
      falseStartMs: DEFAULT_FALSE_START_MS,
      responseLimitMs: DEFAULT_RESPONSE_LIMIT_MS,
      startedAt: startedAt.toISOString(),
      day: localDay(startedAt),
      withTone: choices.withTone,
      sessionsBefore: setup.sessionsBefore,
      simulated: setup.simulated,
    },
  };
}
