import type { Block, PlanNow } from '@orthokin/core/plan';
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

/** What is read from ten metres beside the stations. */
const Aside = styled.p`
  font-size: clamp(20px, 2.2vw, 32px);
`;

/** Who works, helps and rests now, and who is next; of a block all do together, what it needs. */
export function BlockBoard({
  block,
  now: { round, next, untilS, roundPlace },
  rounds,
  nameOf,
  together,
  below,
}: {
  block: Block;
  now: PlanNow;
  /** Of the block, in all. */
  rounds: number;
  nameOf: (athleteId: string) => string;
  /** What is shown of a block all do together, besides what it needs. */
  together: ReactNode;
  /** Below whoever works at a station, from 0. */
  below: (athleteId: string, station: number) => ReactNode;
}): ReactElement {
  if (block.how === 'together')
    return (
      <>
        {block.note && <Aside>{block.note}</Aside>}
        <Aside>{block.needs}</Aside>
        {together}
      </>
    );
  if (rounds === 0) return <Aside>{say('noOne')}</Aside>;
  return (
    <>
      {block.note && <Aside>{block.note}</Aside>}
      <Aside role="status">
        {say('roundPlace', { place: roundPlace, rounds })}
        {untilS !== null && ` · ${clockWords(Math.ceil(untilS))}`}
      </Aside>
      <Stations>
        {(round ?? next)?.stations.map((station, i) => (
          <div key={i}>
            <Quiet>{say('station', { n: i + 1 })}</Quiet>
            <div className="works">{station && round ? nameOf(station.works) : '–'}</div>
            {station && round && below(station.works, i)}
            {round &&
              station?.helps.map(({ athleteId, role }) => (
                <div key={athleteId} className="helps">
                  {say('helpsWith', { name: nameOf(athleteId), role: roleWords(role) })}
                </div>
              ))}
          </div>
        ))}
      </Stations>
      {round && round.rests.length > 0 && (
        <Aside>{say('restsNow', { names: commaList(round.rests.map(nameOf)) })}</Aside>
      )}
      {next && (
        <Aside>
          {say('nextUp', {
            names: commaList(next.stations.flatMap((one) => (one ? nameOf(one.works) : []))),
          })}
        </Aside>
      )}
    </>
  );
}
