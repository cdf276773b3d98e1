import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { isBeingRun, onDrillsLetGo } from '../../device/drill-lock.js';
import { actionsOf, openDrills } from '../../device/drill-log.js';
import { useClub } from '../../api/club.js';
import { Button } from '../../parts/Button.js';
import { timeWords } from '../../words/format.js';
import { Notice } from '../../parts/Notice.js';
import { finishedReps, turnOf } from '@orthokin/core/run';
import { replayLog } from '../../drill/replay-log.js';
import type { Run } from '../../drill/plan.js';
import { brokenOffRota, setupOf, type KeptRota } from './kept-rota.js';
import { say } from '../../words/floor.js';

const Band = styled.div`
  padding: 16px 28px 0;
  max-width: 1360px;
  margin: 0 auto;
`;

async function newestUnfinished(clubId: string): Promise<Run | null> {
  for (const { id } of await openDrills()) {
    // A set that another tab is running was not broken off.
    if (await isBeingRun(id)) continue;
    const run = replayLog(await actionsOf(id));
    // Those of other clubs wait until their club is opened.
    if (run?.plan.clubId === clubId) return run;
  }
  return null;
}

/** What was left unfinished on this device. */
interface Left {
  readonly run: Run | null;
  readonly rota: KeptRota | null;
}

const NOTHING: Left = { run: null, rota: null };

const whatIsLeft = async (clubId: string): Promise<Left> => ({
  run: await newestUnfinished(clubId),
  rota: await brokenOffRota(clubId),
});

/** A rota's remaining sets, in words. */
function rotaWords({ rota, ...kept }: KeptRota): string {
  const turn = turnOf(rota);
  const next = (turn && setupOf(kept, turn.athleteId)?.athlete.name) ?? '';
  return say('setPlaceTurnsNext', { place: rota.place + 1, turns: rota.turns.length, next });
}

/** Offers to continue or end a set, or a rota of sets, that was cut off by a closed tab or a dead battery. */
export function Unfinished({
  onGoOn,
  onRest,
  onEnd,
}: {
  /** With the rota, if the set belongs to one. */
  onGoOn: (drillId: string, rota: KeptRota | null) => void;
  /** For a rota that was cut off between two sets. */
  onRest: (rota: KeptRota) => void;
  onEnd: (drillId: string | null) => Promise<void>;
}): ReactElement | null {
  const { clubId } = useClub();
  const [{ run, rota }, setLeft] = useState<Left>(NOTHING);
  useEffect(() => {
    let isGone = false;
    const look = async () => {
      const left = await whatIsLeft(clubId);
      if (!isGone) setLeft(left);
    };
    // Without storage in the browser nothing can be unfinished.
    const nothing = () => setLeft(NOTHING);
    look().catch(nothing);
    // A dying tab holds its drill's lock a moment longer; offer it once the lock is released.
    const stop = onDrillsLetGo(() => void look().catch(nothing));
    return () => {
      isGone = true;
      stop();
    };
  }, [clubId]);
  const isOfRota = rota !== null && rota.on === (run?.plan.id ?? null);
  const end = async () => {
    await onEnd(run?.plan.id ?? null);
    setLeft(await whatIsLeft(clubId));
  };
  if (!run)
    return !isOfRota ? null : (
      <Band>
        <Notice
          action={
            <>
              <Button weight="main" onPress={() => onRest(rota)}>
                {say('goSets')}
              </Button>
              <Button onPress={() => void end()}>{say('endThemThere')}</Button>
            </>
          }
        >
          {say('setsAfterOneAnotherWereBroken', { rotaWords: rotaWords(rota) })}
        </Notice>
      </Band>
    );
  const { id, athlete, reps, startedAt } = run.plan;
  return (
    <Band>
      <Notice
        action={
          <>
            <Button weight="main" onPress={() => onGoOn(id, isOfRota ? rota : null)}>
              {say('goSet')}
            </Button>
            <Button onPress={() => void end()}>{say('endThere')}</Button>
          </>
        }
      >
        {say('setAthleteStartedatWasBrokenOff', {
          athlete: athlete.name,
          startedAt: timeWords(startedAt),
          length: finishedReps(run).length,
          reps,
        })}
        {isOfRota && rota.rota.turns.length > 1 && say('rotawords', { rotaWords: rotaWords(rota) })}
      </Notice>
    </Band>
  );
}
