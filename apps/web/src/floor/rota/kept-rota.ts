import { nextTurn, turnOf, workMsOf, type Rota } from '@orthokin/core/run';
import { replayLog } from '../../drill/replay-log.js';
import { epochNow } from '../../drill/set-clock.js';
import { isBeingRun } from '../../device/drill-lock.js';
import { actionsOf } from '../../device/drill-log.js';
import { remember, remembered } from '../../device/preferences.js';
import type { FloorSetup, Settled } from '../plan-drill.js';

/** All that goes on with a rota of sets, on this device, should the page die between two of them. */
export interface KeptRota {
  readonly id: string;
  /** Absent of one kept before there were several clubs. */
  readonly clubId?: string;
  readonly rota: Rota;
  readonly settled: Settled;
  /** By athlete; fetched before the first set, so that no network is needed after. */
  readonly setups: readonly FloorSetup[];
  /** The set that is on; `null` before the first and in a rest. */
  readonly on: string | null;
  /** The set that was done last. */
  readonly done: string | null;
  /** All that were done, in the order they were; absent of one kept before they were noted. */
  readonly sets?: readonly string[];
}

const NAME = 'rota';

/** Keeps the rota as it stands; `null` when it is over. */
export const keepRota = (kept: KeptRota | null): void => void remember(NAME, kept);

/** The turn that is on has been worked, or is passed over when no work is given. */
export const passedOn = (kept: KeptRota, workMs: number | null): KeptRota => ({
  ...kept,
  rota: nextTurn(kept.rota, workMs, epochNow()),
  on: null,
  done: kept.on ?? kept.done,
  sets: [...(kept.sets ?? []), ...(kept.on === null ? [] : [kept.on])],
});

/** A club's rota that was broken off, and that no other tab is running. */
export async function brokenOffRota(clubId: string): Promise<KeptRota | null> {
  const kept = remembered<KeptRota | null>(NAME, null);
  if (!kept || (kept.clubId ?? clubId) !== clubId || (await isBeingRun(kept.id))) return null;
  const run = kept.on === null ? null : replayLog(await actionsOf(kept.on));
  // The page may have died after a set's end and before what follows from it.
  if (run?.endReason === 'stopped early') return null;
  const now = run?.state === 'ended' ? passedOn(kept, workMsOf(run)) : kept;
  return turnOf(now.rota) && (now.on ?? now.done) !== null ? now : null;
}

export const setupOf = (
  { setups }: Pick<KeptRota, 'setups'>,
  athleteId: string,
): FloorSetup | undefined => setups.find(({ athlete }) => athlete.id === athleteId);
