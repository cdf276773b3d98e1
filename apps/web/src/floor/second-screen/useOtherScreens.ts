import { trialOf } from '@orthokin/core/cue';
import { readRep, type Fault } from '@orthokin/core/timing';
import { rungOf } from '@orthokin/core/pattern';
import { useContext, useEffect, useMemo, useRef } from 'react';
import { finishedReps, lastRep, repsDue, settingsOf } from '@orthokin/core/run';
import type { DrillPlan, Run } from '../../drill/plan.js';
import { matOf } from '../../beacons/fleet.js';
import type { BeaconLink } from '../../beacons/link.js';
import type { SetClock } from '../../drill/set-clock.js';
import type { Channel } from '../../live/channel.js';
import type { RunNews, SetNews } from '@orthokin/contract/live-messages';
import { epochOf } from '../../live/peer-clock.js';
import { FaultNames, type NameOfFault } from '../../parts/fault-names.js';
import { onClock } from '../../screens/present.js';
import type { OtherScreens } from '../cueing/attempt.js';
import { keyedFaults } from '../acts/keyed-faults.js';
import type { DrillActs } from '../acts/useDrillActs.js';

const setNews = (plan: DrillPlan, faults: readonly Fault[], nameOf: NameOfFault): SetNews => ({
  ...{ setId: plan.id, clubId: plan.clubId },
  athlete: plan.athlete.name,
  pattern: plan.pattern.name,
  targets: plan.pattern.targets,
  inPlay: [...(rungOf(plan.pattern, plan.rung)?.targets ?? [])],
  cueKinds: [...plan.conditions.cueKinds],
  isCalled: plan.conditions.order === 'called',
  isByHand: plan.source === 'hand',
  faults: faults.map((fault) => ({ fault, name: nameOf(fault) })),
});

/** The last finished rep that was not struck out. */
function lastNews(run: Run): RunNews['last'] {
  const rep = lastRep(run);
  if (!rep) return null;
  const cue = run.plan.cues.find(({ ordinal }) => ordinal === rep.ordinal);
  const { durations, leftOut } = readRep(rep, settingsOf(run.plan), cue && trialOf(cue));
  return {
    ...{ ordinal: rep.ordinal, letter: rep.target, leftOut },
    reactionMs: durations.reaction?.ms ?? null,
    recoveryMs: durations.recovery?.ms ?? null,
  };
}

const runNews = (run: Run, clock: SetClock): RunNews => ({
  endsAtMs: run.workEndsMs === null ? null : epochOf(clock.toPage(run.workEndsMs)),
  last: lastNews(run),
  state: run.state,
  ordinal: run.ordinal,
  // In a timed set the number of cues is unknown until the end.
  reps: run.plan.conditions.workMs === null ? repsDue(run) : 0,
  finished: finishedReps(run).length,
  openEvents: run.open.events.map(({ name }) => name),
  faults: [...(run.open.repId === null ? (lastRep(run)?.seenFaults ?? []) : run.open.faults)],
});

/**
 * Announces cues to the other screens and to the lights. The returned object stays the same when a channel or link
 * changes: otherwise the current cue would begin again and its light flash twice.
 */
export function useAnnouncing(
  channel: Channel | null,
  lights: BeaconLink | null,
  clock: SetClock,
): OtherScreens {
  const now = useRef({ channel, lights });
  useEffect(() => {
    now.current = { channel, lights };
  }, [channel, lights]);
  return useMemo(
    () => ({
      coming: (presentation) => {
        const onEpoch = onClock(presentation, (ms) => epochOf(clock.toPage(ms)));
        now.current.channel?.tell('coming', onEpoch);
        now.current.lights?.cue(onEpoch.letter, onEpoch.dueMs);
      },
      seeHome: () => {
        const link = now.current.lights;
        return !link || matOf(link.snapshot().fleet)?.isThere === true;
      },
      clear: () => now.current.channel?.tell('clear', {}),
    }),
    [clock],
  );
}

/** Keeps the other screens informed about the set, and does what they ask. */
export function useOtherScreens(
  channel: Channel | null,
  run: Run,
  clock: SetClock,
  acts: DrillActs,
  call: (letter: string) => void,
): void {
  const { plan } = run;
  const nameOf = useContext(FaultNames);
  const now = useRef({ run, acts, call, nameOf });
  useEffect(() => {
    now.current = { run, acts, call, nameOf };
    channel?.tell('run', runNews(run, clock));
  });
  useEffect(() => {
    if (!channel) return;
    const tellAll = (to?: string) => {
      const current = now.current.run;
      channel.tell('set', setNews(plan, keyedFaults(current), now.current.nameOf), to);
      channel.tell('run', runNews(current, clock), to);
    };
    tellAll();
    const stops = [
      channel.on('here', ({ from }) => tellAll(from)),
      channel.on('call', ({ body }) => now.current.call(body.letter)),
      channel.on('ask', ({ body: ask }) => {
        const { acts: can } = now.current;
        if (ask.act === 'press')
          can.pressAt(ask.name, clock.at(ask.atMs - performance.timeOrigin), ask.sdMs);
        else if (ask.act === 'fault') can.fault(ask.fault);
        else can[ask.act]();
      }),
    ];
    return () => {
      for (const stop of stops) stop();
      channel.tell('over', {});
    };
  }, [channel, plan, clock]);
}
