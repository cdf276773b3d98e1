import type { ReactElement } from 'react';
import { Headline, Quiet } from '../../parts/Text.js';
import { BoardHead } from '../../screens/board/BoardHead.js';
import { BoardMiddle, BoardScreen } from '../../screens/board/BoardScreen.js';
import { Aside, BoardStations } from '../../screens/board/BoardStations.js';
import { useTurnBeeps } from '../../screens/board/useTurnBeeps.js';
import { FullScreen } from '../../screens/FullScreen.js';
import { useAwake } from '../../screens/useAwake.js';
import { say } from '../../words/join.js';
import { say as sayOfPlan } from '../../words/plan.js';
import { Connection } from '../Connection.js';
import { useSessionNews } from './useSessionNews.js';

/** The session's board on a screen of its own: nothing to press, all to read. */
export function JoinedBoard({ room }: { room: string }): ReactElement {
  useAwake();
  const { channel, news, leftS, untilS } = useSessionNews(room, 'board');
  useTurnBeeps({ turn: news?.isOn ? news.turn : null, leftS, place: news?.place ?? 0 });
  return (
    <BoardScreen data-theme="dark">
      {news && news.block !== '' ? (
        <>
          <BoardHead news={news} leftS={leftS} />
          <BoardMiddle>
            {news.note && <Aside>{news.note}</Aside>}
            {news.turns > 0 ? (
              <BoardStations news={news} untilS={untilS} />
            ) : (
              <Aside>{news.needs}</Aside>
            )}
            <Quiet>
              {news.following
                ? sayOfPlan('thenComes', { block: news.following })
                : sayOfPlan('lastBlock')}
            </Quiet>
          </BoardMiddle>
        </>
      ) : (
        <BoardMiddle>
          <Headline>{say('joined')}</Headline>
          <Quiet>{say(news ? 'sessionIsOver' : 'boardShowsItself')}</Quiet>
        </BoardMiddle>
      )}
      <span className="ways">
        <FullScreen />
        {channel && <Connection channel={channel} />}
      </span>
    </BoardScreen>
  );
}
