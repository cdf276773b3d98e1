import { nextTurn, turnOf, workMsOf, type Rota } from '@orthokin/core/run';
import { replayLog } from '../../drill/replay-log.js';
import { epochNow } from '../../drill/set-clock.js';
import { isBeingRun } from '../../device/drill-lock.js';
import { actionsOf } from '../../device/drill-log.js';
import { remember, remembered } from '../../device/preferences.js';
import type { FloorSetup, Settled } from '../plan-drill.js';

/** A rota of sets as it is stored on this device, so that it can go on after the page died between two sets. */
export interface KeptRota {
  readonly id: string;
  /** Absent in rotas stored before there were several clubs. */
  readonly clubId?: string;
  readonly rota: Rota;
  readonly settled: Settled;
  /** By athlete; loaded before the first set, so that the rota does not need the network. */
  readonly setups: readonly FloorSetup[];
  /** The running set; `null` before the first and during a rest. */
  readonly on: string | null;
  /** The last finished set. */
  readonly done: string | null;
  /** All finished sets in order; absent in older rotas. */
  readonly sets?: readonly string[];
}

const NAME = 'rota';

/** Stores the rota; `null` when it is over. */
export const keepRota = (kept: KeptRota | null): void => void remember(NAME, kept);

/** The rota after the current turn; without `workMs` the turn was skipped. */
export const passedOn = (kept: KeptRota, workMs: number | null): KeptRota => ({
  ...kept,
  rota: nextTurn(kept.rota, workMs, epochNow()),
  on: null,
  done: kept.on ?? kept.done,
  sets: [...(kept.sets ?? []), ...(kept.on === null ? [] : [kept.on])],
});

/** A club's rota that was cut off and is not running in another tab. */
export async function brokenOffRota(clubId: string): Promise<KeptRota | null> {
  const kept = remembered<KeptRota | null>(NAME, null);
  if (!kept || (kept.clubId ?? clubId) !== clubId || (await isBeingRun(kept.id))) return null;
  const run = kept.on === null ? null : replayLog(await actionsOf(kept.on));
  // The page may have died right after a set's end, before the rota moved on.
  if (run?.endReason === 'stopped early') return null;
  const now = run?.state === 'ended' ? passedOn(kept, workMsOf(run)) : kept;
  return turnOf(now.rota) && (now.on ?? now.done) !== null ? now : null;
}

export const setupOf = (
  { setups }: Pick<KeptRota, 'setups'>,
  athleteId: string,
): FloorSetup | undefined => setups.find(({ athlete }) => athlete.id === athleteId);
