import type { StationNews } from '@orthokin/contract/live-messages';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Headline, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { BoardHead } from '../../screens/board/BoardHead.js';
import { BoardMiddle, BoardScreen } from '../../screens/board/BoardScreen.js';
import { useAwake } from '../../screens/useAwake.js';
import { say } from '../../words/join.js';
import { say as sayOfPlan } from '../../words/plan.js';
import { CoachPanel } from '../CoachPanel.js';
import { Connection } from '../Connection.js';
import { useJoined } from '../useJoined.js';
import { useSessionNews } from './useSessionNews.js';

const Panels = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(580px, 100%), 1fr));
  align-items: start;
  gap: 14px;
  h2 {
    margin: 0;
  }
  section {
    padding: 10px 14px;
    border-top: 5px solid ${colour('ink')};
    background: ${colour('raised')};
  }
`;

/** One panel over the drills of all stations. */
export function StationsPanel({ room }: { room: string }): ReactElement {
  useAwake();
  const { channel, news, leftS } = useSessionNews(room, 'stations');
  return (
    <BoardScreen data-theme="dark">
      {news && news.block !== '' ? (
        <BoardHead news={news} leftS={leftS} />
      ) : (
        <Headline>{say('joined')}</Headline>
      )}
      <BoardMiddle>
        {news && news.stations.length > 0 ? (
          <Panels>
            {news.stations.map((station, i) => (
              <section key={i} aria-label={sayOfPlan('station', { n: i + 1 })}>
                <Quiet>{sayOfPlan('station', { n: i + 1 })}</Quiet>
                <OfStation station={station} />
              </section>
            ))}
          </Panels>
        ) : (
          <Quiet>{say(news ? 'noStations' : 'boardShowsItself')}</Quiet>
        )}
      </BoardMiddle>
      <span className="ways">{channel && <Connection channel={channel} />}</span>
    </BoardScreen>
  );
}

const OfStation = ({ station: { works, room } }: { station: StationNews }): ReactElement =>
  room ? (
    <OfDrill room={room} works={works} />
  ) : (
    <>
      <h2>{works ?? '–'}</h2>
      <Quiet>{say('noDeviceHere')}</Quiet>
    </>
  );

function OfDrill({ room, works }: { room: string; works: string | null }): ReactElement {
  const joined = useJoined(room, 'panel', { isSilent: true });
  const { set, run } = joined;
  if (!set || !run)
    return (
      <>
        <h2>{works ?? '–'}</h2>
        <Quiet>{say('noSetHere')}</Quiet>
      </>
    );
  return (
    <>
      <h2>{set.athlete}</h2>
      <p>
        {set.pattern}
        {say(run.reps > 0 ? 'finishedRepsDone' : 'finishedDone', {
          ...{ finished: run.finished, reps: run.reps },
        })}
      </p>
      <CoachPanel joined={joined} />
    </>
  );
}
