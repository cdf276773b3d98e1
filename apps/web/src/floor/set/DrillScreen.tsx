import { useEffect, useMemo, useSyncExternalStore, type ReactElement } from 'react';
import { rungOf } from '@orthokin/core/pattern';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Notice } from '../../parts/Notice.js';
import { addedSoFar, currentCue, finishedReps, isEventOpen, repsDue } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import type { Session } from '../../drill/session.js';
import { SetClock } from '../../drill/set-clock.js';
import { BeaconHealth } from '../beacons/BeaconsPart.js';
import { useBeaconDrill } from '../beacons/useBeaconDrill.js';
import type { Beacons } from '../beacons/useBeacons.js';
import { Break } from '../between/Break.js';
import { CallKeypad } from '../../screens/CallKeypad.js';
import { Controls } from './Controls.js';
import { CueDisplay, movedWords } from '../../screens/CueDisplay.js';
import {
  Count,
  CuePlace,
  FloorPlace,
  Foot,
  FootRow,
  Head,
  RibbonPlace,
  SaidOfRep,
  Screen,
  Side,
} from './DrillLayout.js';
import { keyedFaults } from '../acts/keyed-faults.js';
import { FaultKeys } from './FaultKeys.js';
import { FreezeCheck } from './FreezeCheck.js';
import { LastReps } from './LastReps.js';
import { LateMark } from './LateMark.js';
import { LiveFloor } from './LiveFloor.js';
import { LiveRibbon } from './LiveRibbon.js';
import { FullScreen } from '../../screens/FullScreen.js';
import { HAND_EVENTS, TimingButtons } from '../../screens/TimingButtons.js';
import { useAnnouncing, useOtherScreens } from '../second-screen/useOtherScreens.js';
import type { Room } from '../../live/useRoom.js';
import { useAwake } from '../../screens/useAwake.js';
import { useCueing } from '../cueing/useCueing.js';
import { useDrillActs, type DrillActs } from '../acts/useDrillActs.js';
import {
  IDLE_TIMING_KEYS,
  useDrillKeys,
  useQuietAfter,
  type KeyMap,
} from '../acts/useDrillKeys.js';
import { PaceNow } from './PaceNow.js';
import { useStakesAloud } from './useStakesAloud.js';
import { WorkLeft } from './WorkLeft.js';
import { say } from '../../words/floor.js';

/** All keys that currently do something. */
function keysOf(run: Run, acts: DrillActs, call: (letter: string) => void): KeyMap {
  const running = run.state === 'waiting' || run.state === 'cued';
  const { source, conditions, pattern } = run.plan;
  const events: KeyMap = Object.fromEntries(
    HAND_EVENTS.map(({ name, code }) => [code, (at: number) => acts.press(name, at)]),
  );
  const calls: KeyMap = Object.fromEntries(
    pattern.targets.map(({ letter }) => [`Key${letter}`, () => call(letter)]),
  );
  const faults: KeyMap = Object.fromEntries(
    keyedFaults(run).map((fault, i) => [`Digit${i + 1}`, () => acts.fault(fault)]),
  );
  return {
    KeyP: running ? acts.pause : acts.goOn,
    KeyR: acts.redo,
    KeyX: acts.strike,
    Escape: acts.pause,
    ...(conditions.late && {
      KeyY: () => acts.mark({ lateRight: true }),
      KeyN: () => acts.mark({ lateRight: false }),
    }),
    ...faults,
    ...((source === 'hand' || source === 'sensor') && running ? events : {}),
    ...(run.state === 'complete' ? IDLE_TIMING_KEYS : {}),
    ...(conditions.order === 'called' && running ? calls : {}),
  };
}

/** Pauses when the page is hidden: without frames a cue can be neither shown nor timed. */
function usePauseWhenHidden(pause: () => void): void {
  useEffect(() => {
    const hide = () => {
      if (document.hidden) pause();
    };
    document.addEventListener('visibilitychange', hide);
    return () => document.removeEventListener('visibilitychange', hide);
  });
}

/** A running set: the cue, the floor and the presses. */
export function DrillScreen({
  session,
  room,
  beacons,
  goingOn,
  onLeave,
  onNext,
}: {
  session: Session;
  room: Room;
  beacons: Beacons;
  /** What follows by itself after this set; `null` if nothing does. */
  goingOn: string | null;
  onLeave: () => void;
  /** The set has ended; goes back to the set-up. */
  onNext: () => void;
}): ReactElement {
  const { run, storageFailed } = useSyncExternalStore(session.subscribe, session.snapshot);
  const clock = useMemo(() => new SetClock(Date.parse(run.plan.startedAt)), [run.plan.startedAt]);
  // Before cueing starts: beacons must be armed before a cue is sent to a light.
  useBeaconDrill(beacons.link, session, clock);
  const { shown, call } = useCueing(
    session,
    run,
    clock,
    useAnnouncing(room.channel, beacons.link, clock),
  );
  const acts = useDrillActs(session, run, clock);
  useOtherScreens(room.channel, run, clock, acts, call);
  useDrillKeys(keysOf(run, acts, call), useQuietAfter(run.state === 'complete'));
  usePauseWhenHidden(acts.pause);
  useAwake();
  useStakesAloud(run);

  const { plan, state, ordinal } = run;
  const running = state === 'waiting' || state === 'cued';
  const cue = currentCue(run);
  const added = addedSoFar(run);
  const end = () => void acts.end().then(onLeave);
  return (
    <InsteadOfPage>
      <Screen data-theme="dark" {...(!running && { 'data-still': '' })}>
        <Head>
          <span>
            {say('athletePatternRungRung', {
              athlete: plan.athlete.name,
              pattern: plan.pattern.name,
              rung: plan.rung,
            })}
          </span>
          {plan.conditions.workMs === null ? (
            <Count aria-label={say('cueOrdinalReps', { ordinal, reps: repsDue(run) })}>
              <b>{ordinal}</b> {say('reps2', { reps: repsDue(run) })}
              {added > 0 && <em data-testid="owed">{say('addedReps', { added })}</em>}
            </Count>
          ) : (
            <WorkLeft run={run} clock={clock} />
          )}
          <PaceNow run={run} />
          <FullScreen />
        </Head>
        <CuePlace>
          {!running ? (
            <Break
              run={run}
              acts={acts}
              goingOn={goingOn}
              onEnd={end}
              onNext={() => void acts.end().then(onNext)}
            />
          ) : shown.frozen && cue?.freezeAt ? (
            <FreezeCheck
              pattern={plan.pattern}
              letter={cue.target}
              at={cue.freezeAt}
              onChecked={(checked) => {
                if (checked) acts.mark({ checked });
                acts.close();
              }}
            />
          ) : (
            <CueDisplay
              plan={plan}
              shown={shown}
              waiting={
                cue?.movedM === undefined ? undefined : (
                  <>
                    {say('ready')}{' '}
                    <small>
                      {say('helperMovedwords', { movedWords: movedWords(cue.target, cue.movedM) })}
                    </small>
                  </>
                )
              }
            />
          )}
        </CuePlace>
        <Side>
          <FloorPlace>
            <LiveFloor run={run} clock={clock} lit={shown.letter} playing={shown.playing} />
          </FloorPlace>
          <LastReps run={run} most={5} />
        </Side>
        <Foot>
          {storageFailed && <Notice>{say('thisDeviceCannotKeepSetIts')}</Notice>}
          {plan.source === 'sensor' && (
            <div style={{ marginBottom: 12 }}>
              <BeaconHealth
                beacons={beacons}
                places={rungOf(plan.pattern, plan.rung)?.targets ?? []}
              />
            </div>
          )}
          <SaidOfRep>
            {plan.conditions.order === 'called' && (
              <CallKeypad
                pattern={plan.pattern}
                letters={rungOf(plan.pattern, plan.rung)?.targets ?? []}
                isOpen={state === 'waiting'}
                onCall={call}
              />
            )}
            <FaultKeys run={run} onFault={acts.fault} />
            {plan.conditions.late && <LateMark run={run} onMark={acts.mark} />}
          </SaidOfRep>
          <FootRow>
            <RibbonPlace>
              <LiveRibbon run={run} clock={clock} />
            </RibbonPlace>
            {plan.source === 'hand' && (
              <TimingButtons isOpen={(name) => isEventOpen(run, name)} onEvent={acts.press} />
            )}
            <Controls run={run} acts={acts} />
          </FootRow>
        </Foot>
        <span hidden data-testid="finished">
          {finishedReps(run).length}
        </span>
      </Screen>
    </InsteadOfPage>
  );
}
