import type { PlanReply } from '@orthokin/contract';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { useClub } from '../../api/club.js';
import { useHeldSessions } from '../../api/sessions.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Quiet } from '../../parts/Text.js';
import { BoardHead } from '../../screens/board/BoardHead.js';
import { BoardMiddle, BoardScreen } from '../../screens/board/BoardScreen.js';
import { Aside, BoardStations } from '../../screens/board/BoardStations.js';
import { drillPath } from '../../screens/board/drill-path.js';
import { useTurnBeeps } from '../../screens/board/useTurnBeeps.js';
import { SecondScreen } from '../../screens/SecondScreen.js';
import { useAwake } from '../../screens/useAwake.js';
import { allowSound } from '../../sound/audio.js';
import { epochNow } from '../../drill/set-clock.js';
import { blockName, say } from '../../words/plan.js';
import { say as sayOfSession } from '../../words/session.js';
import { OnPlan } from '../OnPlan.js';
import { useNames } from '../useNames.js';
import { asLeft } from '../planned.js';
import { boardNews } from './board-news.js';
import { CountOne } from './CountOne.js';
import { Referee } from './Referee.js';
import { reachedBefore } from './scores.js';
import { useTally } from './useTally.js';
import { WhoIsHere } from './WhoIsHere.js';
import { heldSessionOf } from './held-session.js';
import { Seen } from './Seen.js';
import { SessionOver } from './SessionOver.js';
import { useBoardRoom, useTelling } from './useBoardRoom.js';
import { useRunningPlan } from './useRunningPlan.js';

/** Runs a session: the current block, who works where, who is next, and the time left. */
export const RunPage = (): ReactElement => <OnPlan>{(plan) => <Running plan={plan} />}</OnPlan>;

function Running({ plan: read }: { plan: PlanReply }): ReactElement {
  useAwake();
  const [plan] = useState(() => ({ ...read, ...asLeft(read).planned }));
  const board = useRunningPlan(plan.id, plan);
  const { running, run, now, nowMs } = board;
  const navigate = useNavigate();
  const [isAsking, setAsking] = useState(false);
  const [isSeeing, setSeeing] = useState(false);
  const nameOf = useNames();
  const held = useHeldSessions();
  const block = plan.blocks[run.place];
  const following = plan.blocks[run.place + 1];
  useTurnBeeps({ turn: now.round?.fromS ?? null, leftS: now.leftS, place: run.place });
  const { clubId } = useClub();
  const room = useBoardRoom();
  const news = boardNews({
    ...{ clubId, blocks: plan.blocks, run, now, nameOf, rooms: room.rooms },
    atMs: nowMs,
  });
  useTelling(room, news);
  const go = (place: number) => {
    // Does nothing until a press; a page that was just reloaded stays silent.
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
        <BoardScreen>
          <SessionOver
            session={heldSessionOf(plan, running, epochNow())}
            nameOf={nameOf}
            onBack={() => go(plan.blocks.length - 1)}
            onKept={() => leave(`/plan/held/${running.sessionId}`)}
            onDiscard={() => leave(`/plan/${plan.id}`)}
          />
        </BoardScreen>
      </InsteadOfPage>
    );
  return (
    <InsteadOfPage>
      <BoardScreen data-theme="dark">
        <BoardHead news={news} leftS={now.leftS} />
        <BoardMiddle>
          {block.note && <Aside>{block.note}</Aside>}
          {block.how === 'together' ? (
            <>
              <Aside>{block.needs}</Aside>
              {/* Another game begins anew. */}
              <Referee key={block.id} {...{ block, board, nameOf }} />
            </>
          ) : run.rounds.length === 0 ? (
            <Aside>{say('noOne')}</Aside>
          ) : (
            <BoardStations
              news={news}
              untilS={now.untilS}
              below={(station) => {
                const works = now.round?.stations[station]?.works;
                return (
                  works !== undefined &&
                  block.kind === 'challenge' && (
                    <CountOne
                      name={nameOf(works)}
                      n={tally.of(works)}
                      wanted={block.wanted ?? null}
                      stationKey={String(station + 1)}
                      before={reachedBefore(held.data ?? [], block, works)}
                      onCount={(by) => tally.add(works, by)}
                    />
                  )
                );
              }}
            />
          )}
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
        </BoardMiddle>
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
          {news.stations.map(
            ({ timed }) =>
              timed && (
                <ButtonLink key={timed.athleteId} to={drillPath(timed)}>
                  {say('runDrill', { name: nameOf(timed.athleteId) })}
                </ButtonLink>
              ),
          )}
          <Button aria-expanded={isSeeing} onPress={() => setSeeing(!isSeeing)}>
            {sayOfSession('whatWasSeen')}
          </Button>
          <SecondScreen room={room} means={sayOfSession('screensOf')} />
          <Button onPress={() => go(plan.blocks.length)}>{say('endSession')}</Button>
        </span>
      </BoardScreen>
    </InsteadOfPage>
  );
}
