import type { BoardNews, StationNews } from '@orthokin/contract/live-messages';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { commaList } from '../../words/format.js';
import { clockWords, roleWords, say } from '../../words/plan.js';

const Stations = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 14px;
  > div {
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
`;

/** Text beside the stations, to be read from ten metres. */
export const Aside = styled.p`
  font-size: clamp(20px, 2.2vw, 32px);
`;

/** Who works, helps and rests now, and who is next. */
export function BoardStations({
  news: { isOn, stations, turn, turns, rests, restMore, next },
  untilS,
  below,
}: {
  news: BoardNews;
  /** Seconds until the turn ends or the next begins; `null` if there are no more turns. */
  untilS: number | null;
  /** Shown below a station's athletes; `station` is an index from 0. */
  below?: (station: number) => ReactNode;
}): ReactElement {
  return (
    <>
      <Aside role="status">
        {say('roundPlace', { place: turn, rounds: turns })}
        {untilS !== null && ` · ${clockWords(Math.ceil(untilS))}`}
      </Aside>
      <Stations>
        {stations.map((station, i) => (
          <div key={i}>
            <Quiet>{say('station', { n: i + 1 })}</Quiet>
            <AtStation station={station} />
            {isOn && station.works !== null && below?.(i)}
          </div>
        ))}
      </Stations>
      {rests.length > 0 && (
        <Aside>
          {say('restsNow', {
            names:
              restMore > 0
                ? say('andMore', { names: commaList(rests), more: restMore })
                : commaList(rests),
          })}
        </Aside>
      )}
      {next.length > 0 && <Aside>{say('nextUp', { names: commaList(next) })}</Aside>}
    </>
  );
}

const AtStation = ({ station: { works, helps } }: { station: StationNews }): ReactElement => (
  <>
    <div className="works">{works ?? '–'}</div>
    {helps.map(({ name, role }) => (
      <div key={role} className="helps">
        {say('helpsWith', { name, role: roleWords(role) })}
      </div>
    ))}
  </>
);
