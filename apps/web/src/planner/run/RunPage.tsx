import type { PlanReply } from '@orthokin/contract';
import type { Block, Round } from '@orthokin/core/plan';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { forget } from '../../device/preferences.js';
import { beginRunning, endRunning } from '../../device/running-plan.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { colour, MONO, NARROW } from '../../parts/tokens.js';
import { useAwake } from '../../screens/useAwake.js';
import { allowSound, planBeep } from '../../sound/audio.js';
import { commaList } from '../../words/format.js';
import { blockName, clockWords, roleWords, say } from '../../words/plan.js';
import { OnPlan } from '../OnPlan.js';
import { useNames } from '../useNames.js';
import { asLeft } from '../usePlanning.js';
import { useRunningPlan } from './useRunningPlan.js';

const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 12px;
  padding: 20px 28px;
  overflow: auto;
  background: ${colour('paper')};
  color: ${colour('ink')};
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: 4px 28px;
  }
  header h1 {
    font-size: clamp(28px, 4.4vw, 60px);
    line-height: 1.05;
  }
  .clock {
    font: 750 clamp(44px, 8vw, 112px) / 1 ${MONO};
    font-variant-numeric: tabular-nums;
  }
  .clock[data-over] {
    color: ${colour('bad')};
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
  .ways button,
  .ways a {
    min-height: 56px;
  }
  @media (max-width: ${NARROW}) {
    padding: 12px;
  }
`;

/** Read from ten metres: names as large as their number lets them be. */
const Board = styled.div`
  align-content: center;
  display: grid;
  gap: 12px;
  p {
    margin: 0;
  }
  .stations {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
    gap: 14px;
  }
  .station {
    padding: 14px 20px;
    border-top: 5px solid ${colour('ink')};
    background: ${colour('raised')};
  }
  .works {
    font-size: clamp(34px, 5.4vw, 84px);
    font-weight: 750;
    line-height: 1.05;
  }
  .helps {
    font-size: clamp(20px, 2.4vw, 34px);
  }
  .aside {
    font-size: clamp(20px, 2.2vw, 32px);
  }
`;

const Present = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;

/** A session as it is run: which block, who works where, who is next, how long still. */
export const RunPage = (): ReactElement => <OnPlan>{(plan) => <Running plan={plan} />}</OnPlan>;

const [TURN_HZ, END_HZ] = [660, 880];
const beep = (hz: number) => planBeep({ hz, lengthS: 0.25, level: 0.4 }, performance.now() + 30);

function Running({ plan: read }: { plan: PlanReply }): ReactElement {
  useAwake();
  const [plan] = useState(() => ({ ...read, ...asLeft(read) }));
  const running = useRunningPlan(plan.id, plan);
  const { run, now, isOver } = running;
  const navigate = useNavigate();
  const [isAsking, setAsking] = useState(false);
  const nameOf = useNames();
  const block = plan.blocks[run.place];
  const following = plan.blocks[run.place + 1];
  const isOverTime = now.leftS < 0;
  const turn = now.round?.fromS ?? null;
  useEffect(() => beginRunning(plan.id), [plan.id]);
  const was = useRef({ turn, isOverTime, place: run.place });
  useEffect(() => {
    const before = was.current;
    was.current = { turn, isOverTime, place: run.place };
    if (before.place !== run.place) return;
    if (isOverTime && !before.isOverTime) beep(END_HZ);
    else if (turn !== before.turn) beep(TURN_HZ);
  }, [turn, isOverTime, run.place]);
  const go = (place: number) => {
    // A page that was opened anew makes no sound until something is pressed.
    void allowSound();
    running.toBlock(place);
  };
  const leave = () => {
    forget(`plan-run.${plan.id}`);
    endRunning();
    void navigate(`/plan/${plan.id}`);
  };
  const toggle = (id: string) =>
    running.present(
      run.athleteIds.includes(id)
        ? run.athleteIds.filter((one) => one !== id)
        : [...run.athleteIds, id],
    );
  const away = plan.athleteIds.filter((id) => !run.athleteIds.includes(id));
  if (isOver || !block)
    return (
      <InsteadOfPage>
        <Screen data-theme="dark">
          <Headline>{say('sessionDone')}</Headline>
          <span />
          <span className="ways">
            <Button weight="main" autoFocus onPress={leave}>
              {say('endSession')}
            </Button>
            <ButtonLink to="/review">{say('seeReview')}</ButtonLink>
          </span>
        </Screen>
      </InsteadOfPage>
    );
  return (
    <InsteadOfPage>
      <Screen data-theme="dark">
        <header>
          <div>
            <Quiet>{say('blockPlace', { place: run.place + 1, count: plan.blocks.length })}</Quiet>
            <Headline>{blockName(block)}</Headline>
          </div>
          <div>
            <Quiet>{say(isOverTime ? 'overBy' : 'leftInBlock')}</Quiet>
            <span className="clock" role="timer" data-over={isOverTime || undefined}>
              {clockWords(Math.ceil(Math.abs(now.leftS)))}
            </span>
          </div>
        </header>
        <Board>
          <BlockBoard {...{ block, now, nameOf }} rounds={run.rounds.length} />
          {isAsking && (
            <>
              <Present role="group" aria-label={say('somebodyLeft')}>
                {[...run.athleteIds, ...away].map((id) => (
                  <Button
                    key={id}
                    aria-pressed={run.athleteIds.includes(id)}
                    weight={run.athleteIds.includes(id) ? 'main' : 'plain'}
                    onPress={() => toggle(id)}
                  >
                    {say('isHere', { name: nameOf(id) })}
                  </Button>
                ))}
              </Present>
              <Quiet>{say('plannedAnew')}</Quiet>
            </>
          )}
          <Quiet>
            {following ? say('thenComes', { block: blockName(following) }) : say('lastBlock')}
          </Quiet>
          <Quiet>{say('careWhile')}</Quiet>
        </Board>
        <span className="ways">
          <Button weight="main" autoFocus onPress={() => go(run.place + 1)}>
            {following ? say('nextBlock') : say('endSession')}
          </Button>
          <Button onPress={running.pause}>{say(run.pausedAtMs === null ? 'pause' : 'goOn')}</Button>
          <Button onPress={() => go(run.place)}>{say('again')}</Button>
          <Button isDisabled={run.place === 0} onPress={() => go(run.place - 1)}>
            {say('blockBefore')}
          </Button>
          <Button aria-expanded={isAsking} onPress={() => setAsking(!isAsking)}>
            {say('somebodyLeft')}
          </Button>
          {now.round?.stations.map(
            (station) =>
              station &&
              block.kind === 'cued drill' && (
                <ButtonLink key={station.works} to={drillOf(block, station.works)}>
                  {say('runDrill', { name: nameOf(station.works) })}
                </ButtonLink>
              ),
          )}
          <Button onPress={leave}>{say('endSession')}</Button>
        </span>
      </Screen>
    </InsteadOfPage>
  );
}

/** The floor with whoever works now, on the block's pattern or their own. */
const drillOf = ({ patternId }: Block, athleteId: string): string =>
  `/floor/${athleteId}${patternId === null ? '' : `?pattern=${patternId}`}`;

function BlockBoard({
  block,
  now: { round, next, untilS, roundPlace },
  rounds,
  nameOf,
}: {
  block: Block;
  now: ReturnType<typeof useRunningPlan>['now'];
  rounds: number;
  nameOf: (id: string) => string;
}): ReactElement {
  if (block.how === 'together') return <p className="aside">{block.needs}</p>;
  const shown: Round | null = round ?? next;
  return (
    <>
      <p className="aside" role="status">
        {say('roundPlace', { place: roundPlace, rounds })}
        {untilS !== null && ` · ${clockWords(Math.ceil(untilS))}`}
      </p>
      <div className="stations">
        {shown?.stations.map((station, i) => (
          <div key={i} className="station">
            <Quiet>{say('station', { n: i + 1 })}</Quiet>
            <div className="works">{station && round ? nameOf(station.works) : '–'}</div>
            {station &&
              round &&
              station.helps.map(({ athleteId, role }) => (
                <div key={athleteId} className="helps">
                  {say('helpsWith', { name: nameOf(athleteId), role: roleWords(role) })}
                </div>
              ))}
          </div>
        ))}
      </div>
      {round && round.rests.length > 0 && (
        <p className="aside">{say('restsNow', { names: commaList(round.rests.map(nameOf)) })}</p>
      )}
      {next && (
        <p className="aside">
          {say('nextUp', {
            names: commaList(next.stations.flatMap((one) => (one ? nameOf(one.works) : []))),
          })}
        </p>
      )}
    </>
  );
}
