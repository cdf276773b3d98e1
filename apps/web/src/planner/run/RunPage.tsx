import type { PlanReply } from '@orthokin/contract';
import type { Block } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useHeldSessions } from '../../api/sessions.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { colour, MONO, NARROW } from '../../parts/tokens.js';
import { useAwake } from '../../screens/useAwake.js';
import { allowSound } from '../../sound/audio.js';
import { epochNow } from '../../drill/set-clock.js';
import { blockName, clockWords, say } from '../../words/plan.js';
import { say as sayOfSession } from '../../words/session.js';
import { OnPlan } from '../OnPlan.js';
import { useNames } from '../useNames.js';
import { asLeft } from '../planned.js';
import { BlockBoard } from './BlockBoard.js';
import { CountOne } from './CountOne.js';
import { Referee } from './Referee.js';
import { reachedBefore } from './scores.js';
import { useTally } from './useTally.js';
import { WhoIsHere } from './WhoIsHere.js';
import { heldSessionOf } from './held-session.js';
import { Seen } from './Seen.js';
import { SessionOver } from './SessionOver.js';
import { useRunningPlan } from './useRunningPlan.js';
import { useTurnBeeps } from './useTurnBeeps.js';

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

const Board = styled.div`
  align-content: center;
  display: grid;
  gap: 12px;
  p {
    margin: 0;
  }
`;

/** A session as it is run: which block, who works where, who is next, how long still. */
export const RunPage = (): ReactElement => <OnPlan>{(plan) => <Running plan={plan} />}</OnPlan>;

function Running({ plan: read }: { plan: PlanReply }): ReactElement {
  useAwake();
  const [plan] = useState(() => ({ ...read, ...asLeft(read) }));
  const board = useRunningPlan(plan.id, plan);
  const { running, run, now } = board;
  const navigate = useNavigate();
  const [isAsking, setAsking] = useState(false);
  const [isSeeing, setSeeing] = useState(false);
  const nameOf = useNames();
  const held = useHeldSessions();
  const block = plan.blocks[run.place];
  const following = plan.blocks[run.place + 1];
  const isOverTime = now.leftS < 0;
  useTurnBeeps(now, run.place);
  const go = (place: number) => {
    // A page that was opened anew makes no sound until something is pressed.
    void allowSound();
    board.toBlock(place);
  };
  const leave = (to: string) => {
    board.end();
    void navigate(to);
  };
  const tally = useTally(board, block);
  if (!block)
    return (
      <InsteadOfPage>
        <Screen>
          <SessionOver
            session={heldSessionOf(plan, running, epochNow())}
            nameOf={nameOf}
            onBack={() => go(plan.blocks.length - 1)}
            onKept={() => leave(`/plan/held/${running.sessionId}`)}
            onDiscard={() => leave(`/plan/${plan.id}`)}
          />
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
          <BlockBoard
            {...{ block, now, nameOf }}
            rounds={run.rounds.length}
            // Another game begins anew.
            together={<Referee key={block.id} {...{ block, board, nameOf }} />}
            below={(athleteId, station) =>
              block.kind === 'challenge' && (
                <CountOne
                  name={nameOf(athleteId)}
                  n={tally.of(athleteId)}
                  wanted={block.wanted ?? null}
                  stationKey={String(station + 1)}
                  before={reachedBefore(held.data ?? [], block, athleteId)}
                  onCount={(by) => tally.add(athleteId, by)}
                />
              )
            }
          />
          {isAsking && (
            <WhoIsHere
              here={run.athleteIds}
              planned={plan.athleteIds}
              nameOf={nameOf}
              onChange={board.present}
            />
          )}
          {isSeeing && (
            <Seen {...{ sessionId: running.sessionId, athleteIds: plan.athleteIds, nameOf }} />
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
          <Button onPress={board.pause}>{say(run.pausedAtMs === null ? 'pause' : 'goOn')}</Button>
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
          <Button aria-expanded={isSeeing} onPress={() => setSeeing(!isSeeing)}>
            {sayOfSession('whatWasSeen')}
          </Button>
          <Button onPress={() => go(plan.blocks.length)}>{say('endSession')}</Button>
        </span>
      </Screen>
    </InsteadOfPage>
  );
}

/** The floor with whoever works now, on the block's pattern or their own. */
const drillOf = ({ patternId }: Block, athleteId: string): string =>
  `/floor/${athleteId}${patternId === null ? '' : `?pattern=${patternId}`}`;
