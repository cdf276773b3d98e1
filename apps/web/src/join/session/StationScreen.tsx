import { useEffect, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { goToStation, leaveStation } from '../../device/at-station.js';
import { remember } from '../../device/preferences.js';
import { openDrillRoom } from '../../live/useRoom.js';
import { Button } from '../../parts/Button.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { BoardMiddle, BoardScreen } from '../../screens/board/BoardScreen.js';
import { Aside } from '../../screens/board/BoardStations.js';
import { drillPath } from '../../screens/board/drill-path.js';
import { useAwake } from '../../screens/useAwake.js';
import { allowSound } from '../../sound/audio.js';
import { clockWords, roleWords, say as sayOfPlan } from '../../words/plan.js';
import { say } from '../../words/join.js';
import { Connection } from '../Connection.js';
import { useSessionNews } from './useSessionNews.js';

const Works = styled.strong`
  font-size: clamp(34px, 8vw, 84px);
  line-height: 1.05;
`;

/** A device at a station: who works there, and a button to time their set. */
export function StationScreen({ room, station }: { room: string; station: number }): ReactElement {
  useAwake();
  const navigate = useNavigate();
  const { channel, news, untilS } = useSessionNews(room, 'station');
  const own = news?.stations[station - 1] ?? null;
  const toldRoom = own?.room;
  useEffect(() => {
    goToStation({ room, station });
    // The session's page may have been reloaded and forgotten this device's room.
    if (channel && toldRoom !== undefined) {
      const ours = openDrillRoom();
      if (toldRoom !== ours) channel.tell('at', { station, room: ours });
    }
  }, [room, station, channel, toldRoom]);
  const time = async () => {
    if (!news || !own?.timed) return;
    await allowSound();
    // This device may have been used for another club before.
    remember('club', news.clubId);
    void navigate(drillPath(own.timed));
  };
  return (
    <BoardScreen data-theme="dark">
      <header>
        <div>
          <Quiet>{news?.block ?? room}</Quiet>
          <Headline>{sayOfPlan('station', { n: station })}</Headline>
        </div>
        {untilS !== null && (
          <span className="clock" role="timer">
            {clockWords(Math.ceil(untilS))}
          </span>
        )}
      </header>
      <BoardMiddle>
        {own?.works ? (
          <>
            <Works>{say('worksHere', { name: own.works })}</Works>
            {own.helps.map(({ name, role }) => (
              <Aside key={role}>{sayOfPlan('helpsWith', { name, role: roleWords(role) })}</Aside>
            ))}
            {!own.timed && <Quiet>{say('nothingTimed')}</Quiet>}
          </>
        ) : (
          <Quiet>{say(news ? 'nobodyHere' : 'boardShowsItself')}</Quiet>
        )}
      </BoardMiddle>
      <span className="ways">
        {own?.timed && own.works && (
          <Button weight="main" autoFocus onPress={() => void time()}>
            {sayOfPlan('runDrill', { name: own.works })}
          </Button>
        )}
        <Button
          onPress={() => {
            leaveStation();
            void navigate('/');
          }}
        >
          {say('leaveStation')}
        </Button>
        {channel && <Connection channel={channel} />}
      </span>
    </BoardScreen>
  );
}
