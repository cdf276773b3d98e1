import {
  FASTEST_WALK,
  LONGEST_HOLD_MS,
  MANNERS,
  rehearsalMs,
  rehearsalOf,
  SLOWEST_WALK,
  USUAL_REHEARSAL,
  type Manner,
  type RehearsalSettings,
} from '@orthokin/core/footwork';
import type { DrillSetupReply } from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import { Play } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { useLocation, useParams } from 'react-router';
import styled from 'styled-components';
import { REHEARSED } from '../../drill/cue-words.js';
import { useRemembered } from '../../device/useRemembered.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { SecondsField, ShareField } from '../../parts/form/NumberFields.js';
import { commaList, dayWords } from '../../words/format.js';
import { POSITION_WORDS } from '../../words/position.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { allowSound } from '../../sound/audio.js';
import { learnWords } from '../../sound/spoken.js';
import { BesideFloor, Plan, Said, Ways } from '../set/BesideFloor.js';
import { FloorInPlay } from '../set/FloorInPlay.js';
import { OnSetup } from '../set-up/OnSetup.js';
import { shownTargets } from '../plan-drill.js';
import { openPoints, rehearsalSentence, type Mark } from './marks.js';
import { Rehearsing } from './Rehearsing.js';
import { say } from '../../words/floor.js';

const Choices = styled.div`
  display: grid;
  gap: 14px;
  padding: 16px 0;
  border-block: 1px solid ${colour('rule')};
  > div {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 22px;
  }
  .number {
    flex: 0 1 112px;
  }
`;

interface Choice extends RehearsalSettings {
  readonly spoken: boolean;
}

/** The result of an athlete's last rehearsal of a pattern, on this device. */
interface Rehearsed {
  /** ISO 8601. */
  readonly at: string;
  readonly marks: readonly Mark[];
}

const minutes = (ms: number): string => {
  const s = Math.round(ms / 1000);
  return s < 90 ? `${s} s` : say('roundMin', { round: Math.round(s / 60) });
};

/** Rehearses a pattern position by position at a slow pace, with holds. */
export function RehearsePage(): ReactElement {
  const { athleteId = '' } = useParams();
  return (
    <OnSetup athleteId={athleteId}>
      {(setup) => <RehearseFor key={setup.pattern.id} setup={setup} />}
    </OnSetup>
  );
}

function RehearseFor({ setup }: { setup: DrillSetupReply }): ReactElement {
  const { athlete, pattern } = setup;
  const { pathname, search } = useLocation();
  const [kept, keep] = useRemembered<Choice>('rehearsal', { ...USUAL_REHEARSAL, spoken: true });
  const [last, keepLast] = useRemembered<Rehearsed | null>(
    `rehearsed.${athlete.id}.${pattern.id}`,
    null,
  );
  const [running, setRunning] = useState(false);
  const letters = rungOf(pattern, setup.rung)?.targets ?? [];
  const calls = rehearsalOf(pattern, letters, kept);
  const seen = { ...pattern, targets: shownTargets(setup) };
  const withManner = (manner: Manner, on: boolean) =>
    MANNERS.filter((each) => (each === manner ? on : kept.manners.includes(each)));
  const begin = async () => {
    await allowSound();
    await learnWords(REHEARSED);
    setRunning(true);
  };
  if (running)
    return (
      <Rehearsing
        pattern={seen}
        calls={calls}
        name={athlete.name}
        spoken={kept.spoken}
        onMarks={(marks) => keepLast({ at: new Date().toISOString(), marks })}
        onDone={() => setRunning(false)}
      />
    );
  return (
    <Page name={say('rehearse')}>
      <BesideFloor>
        <Said>
          <Headline>{say('athletePositionPosition', { athlete: athlete.name })}</Headline>
          {last && (
            <p>
              {say('rehearsedRehearsalsentence', {
                at: dayWords(last.at),
                rehearsalSentence: rehearsalSentence(last.marks),
              })}
            </p>
          )}
          {last && openPoints(last.marks).length > 1 && (
            <ul>
              {openPoints(last.marks).map(({ position, point, failed, of, targets }) => (
                <li key={`${position} ${point}`}>
                  {say('positionwordsPointDidNotHoldFailed', {
                    POSITIONWORDS: POSITION_WORDS[position],
                    point,
                    failed,
                    of,
                    targets: commaList(targets),
                  })}
                </li>
              ))}
            </ul>
          )}
          <Choices>
            <div>
              {MANNERS.map((manner) => (
                <CheckField
                  key={manner}
                  isSelected={kept.manners.includes(manner)}
                  onChange={(on) => keep({ ...kept, manners: withManner(manner, on) })}
                >
                  {manner}
                </CheckField>
              ))}
            </div>
            <div>
              <div className="number">
                <ShareField
                  label={say('paceWay')}
                  min={SLOWEST_WALK}
                  max={FASTEST_WALK}
                  value={kept.pace}
                  onChange={(pace) => keep({ ...kept, pace })}
                />
              </div>
              <div className="number">
                <SecondsField
                  label={say('hold')}
                  decimals={0}
                  minMs={1000}
                  maxMs={LONGEST_HOLD_MS}
                  valueMs={kept.holdMs}
                  onChange={(holdMs) => keep({ ...kept, holdMs })}
                />
              </div>
              <CheckField
                isSelected={kept.through}
                onChange={(through) => keep({ ...kept, through })}
              >
                {say('thenOnceThrough')}
              </CheckField>
              <CheckField isSelected={kept.spoken} onChange={(spoken) => keep({ ...kept, spoken })}>
                {say('callsSpoken')}
              </CheckField>
            </div>
          </Choices>
          <Quiet>
            {calls.length > 0
              ? say('lettersTargetsSidesTurnCallsCalls', {
                  letters: letters.length,
                  calls: calls.length,
                  minutes: minutes(rehearsalMs(calls)),
                })
              : kept.manners.length === 0
                ? say('chooseLeastOneWayDo')
                : say('noFeetLaidTheseTargetsYet')}
          </Quiet>
          <Ways>
            <Button
              weight="main"
              autoFocus
              isDisabled={calls.length === 0}
              onPress={() => void begin()}
            >
              <Play size={20} aria-hidden /> {say('rehearse')}
            </Button>
            <ButtonLink to={`${pathname.replace(/\/rehearse$/, '')}${search}`}>
              {say('backSet')}
            </ButtonLink>
          </Ways>
        </Said>
        <Plan>
          <FloorInPlay pattern={seen} letters={letters} />
        </Plan>
      </BesideFloor>
    </Page>
  );
}
