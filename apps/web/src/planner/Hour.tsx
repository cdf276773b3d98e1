import type { PlacedBlock } from '@orthokin/core/plan';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { colour, MONO } from '../parts/tokens.js';
import { useWidth } from '../parts/useWidth.js';
import { blockName, say, wallClock } from '../words/plan.js';
import { fullest, threadsOf, type Spot } from './threads.js';

const [LEFT, RIGHT, TOP, BLOCK, GAP] = [92, 12, 26, 46, 18];
/** Between two people side by side, and above and below them in their lane. */
const [LINE, PAD] = [13, 12];
const LEAST_WIDTH = 620;
const MINUTE_S = 60;
/** A tick every so many minutes, so that their words stay apart. */
const STEPS_MIN = [5, 10, 15, 30, 60];
const LEAST_TICK_PX = 66;
/** A letter of a block's name at its size, px. */
const LETTER_PX = 8.4;
/** How far into a round somebody still changes places, as a share of it. */
const CHANGE = 0.22;

const Scroll = styled.div`
  overflow-x: auto;
  margin-top: 12px;
  svg {
    display: block;
    font: 15px inherit;
    font-family: inherit;
    fill: ${colour('ink')};
  }
  .block {
    fill: ${colour('raised')};
    stroke: ${colour('ink')};
    cursor: pointer;
  }
  .block[data-chosen] {
    stroke-width: 2.5;
  }
  .name {
    font-weight: 650;
    pointer-events: none;
  }
  .tick {
    font: 14px ${MONO};
    fill: ${colour('quiet')};
  }
  .floor {
    fill: ${colour('floor')};
    opacity: 0.6;
  }
  .aside {
    fill: none;
    stroke: ${colour('rule')};
  }
  .thread {
    fill: none;
    stroke: ${colour('ink')};
    stroke-width: 1.6;
    opacity: 0.34;
  }
  .dot {
    fill: ${colour('ink')};
    opacity: 0.5;
  }
  .followed .thread {
    stroke: ${colour('here')};
    stroke-width: 4;
    opacity: 1;
  }
  .followed .dot {
    fill: ${colour('here')};
    opacity: 1;
  }
`;

/** A session from left to right: its blocks, and everybody's way through the stations. */
export function Hour({
  blocks,
  startsAt,
  minutes,
  athleteIds,
  followed,
  chosen,
  onChoose,
}: {
  blocks: readonly PlacedBlock[];
  startsAt: string;
  /** The time there is. */
  minutes: number;
  athleteIds: readonly string[];
  /** Whose way stands out. */
  followed: string | null;
  chosen: string | null;
  onChoose: (blockId: string) => void;
}): ReactElement {
  const [ref, measured] = useWidth<HTMLDivElement>(LEAST_WIDTH);
  const width = Math.max(LEAST_WIDTH, measured);
  const endS = Math.max(MINUTE_S * minutes, blocks.at(-1)?.toS ?? 0);
  const scale = (width - LEFT - RIGHT) / endS;
  const x = (s: number): number => LEFT + s * scale;
  const lanes = useMemo(() => fullest(blocks), [blocks]);
  const threads = useMemo(
    () => blocks.map((block) => threadsOf(block, athleteIds)),
    [blocks, athleteIds],
  );
  const stationH = LINE + 2 * PAD;
  const sideH = (n: number) => (n === 0 ? 0 : (n - 1) * LINE + 2 * PAD);
  const first = TOP + BLOCK + GAP;
  const stationY = (i: number) => first + i * (stationH + 6);
  const helpsY = stationY(lanes.stations);
  const restsY = helpsY + (lanes.helps === 0 ? 0 : sideH(lanes.helps) + 6);
  const height = restsY + sideH(lanes.rests) + 4;
  const y = ({ lane, place }: Spot): number => {
    if (lane === 'helps') return helpsY + PAD + place * LINE;
    if (lane === 'rests') return restsY + PAD + place * LINE;
    return stationY(lane) + stationH / 2;
  };
  const step =
    STEPS_MIN.find((each) => each * MINUTE_S * scale >= LEAST_TICK_PX) ?? STEPS_MIN.at(-1) ?? 60;
  const ticks = Array.from({ length: Math.floor(endS / MINUTE_S / step) + 1 }, (_, i) => i * step);
  return (
    <Scroll ref={ref} tabIndex={0} role="group" aria-label={say('hour')}>
      <svg width={width} height={height} role="img" aria-label={say('hourOf')}>
        {ticks.map((minute) => (
          <text
            key={minute}
            className="tick"
            x={x(minute * MINUTE_S)}
            y={14}
            textAnchor={minute === 0 ? 'start' : 'middle'}
          >
            {minute === 0 ? startsAt : wallClock(startsAt, minute * MINUTE_S)}
          </text>
        ))}
        {blocks.map(({ block, fromS, toS }) => {
          const name = blockName(block);
          const room = Math.floor(((toS - fromS) * scale - 14) / LETTER_PX);
          return (
            <g key={block.id} onClick={() => onChoose(block.id)}>
              <rect
                className="block"
                data-chosen={block.id === chosen || undefined}
                x={x(fromS) + 1}
                y={TOP}
                width={Math.max(2, (toS - fromS) * scale - 3)}
                height={BLOCK}
                rx={3}
              />
              <text className="name" x={x(fromS) + 8} y={TOP + BLOCK / 2 + 5}>
                {name.length <= room ? name : room > 3 ? `${name.slice(0, room - 1)}…` : ''}
              </text>
            </g>
          );
        })}
        {Array.from({ length: lanes.stations }, (_, i) => (
          <g key={i}>
            <rect
              className="floor"
              x={LEFT}
              y={stationY(i)}
              width={width - LEFT - RIGHT}
              height={stationH}
            />
            <text x={0} y={stationY(i) + stationH / 2 + 5}>
              {say('station', { n: i + 1 })}
            </text>
          </g>
        ))}
        {(
          [
            ['helps', helpsY, lanes.helps],
            ['rests', restsY, lanes.rests],
          ] as const
        ).map(
          ([lane, top, n]) =>
            n > 0 && (
              <g key={lane}>
                <rect
                  className="aside"
                  x={LEFT}
                  y={top}
                  width={width - LEFT - RIGHT}
                  height={sideH(n)}
                />
                <text x={0} y={top + sideH(n) / 2 + 5}>
                  {say(lane)}
                </text>
              </g>
            ),
        )}
        {threads.map((ofBlock, i) =>
          [...ofBlock]
            .sort((a, b) => Number(a.athleteId === followed) - Number(b.athleteId === followed))
            .map(({ athleteId, spots }) => (
              <g
                key={`${blocks[i]?.block.id ?? i} ${athleteId}`}
                className={athleteId === followed ? 'followed' : undefined}
              >
                <path
                  className="thread"
                  d={spots
                    .map(({ fromS, toS, ...spot }, nth) => {
                      const into = nth === 0 ? 0 : CHANGE * (toS - fromS);
                      return `${nth === 0 ? 'M' : 'L'}${x(fromS + into)} ${y(spot)}H${x(toS)}`;
                    })
                    .join('')}
                />
                {spots.map(
                  ({ fromS, toS, ...spot }) =>
                    typeof spot.lane === 'number' && (
                      <circle
                        key={fromS}
                        className="dot"
                        cx={x((fromS + toS) / 2)}
                        cy={y(spot)}
                        r={athleteId === followed ? 6 : 4}
                      />
                    ),
                )}
              </g>
            )),
        )}
      </svg>
    </Scroll>
  );
}
