import { endOf, type PlacedBlock } from '@orthokin/core/plan';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { colour, MONO } from '../parts/tokens.js';
import { useWidth } from '../parts/useWidth.js';
import { blockName, clockWords, say, wallClock } from '../words/plan.js';
import { fullest, threadsOf, type Spot } from './threads.js';

const [LEFT, RIGHT, TOP, BLOCK, GAP] = [92, 30, 26, 46, 50];
/** Distance between two people side by side, and a lane's padding, px. */
const [LINE, PAD] = [13, 12];
const LEAST_WIDTH = 620;
const MINUTE_S = 60;
/** Possible intervals between ticks, s. */
const STEPS_S = [15, 30, 60, 120, 300, 600, 900, 1800, 3600];
const LEAST_TICK_PX = 66;
/** Average width of a letter in a block's name, px. */
const LETTER_PX = 9.2;
/** The part of a round in which changing places is drawn, as a share of it. */
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
  .through {
    fill: ${colour('raised')};
    stroke: ${colour('rule')};
    pointer-events: none;
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

/** The block drawn in detail: the selected one, or else the longest with turns. */
function seenThrough(blocks: readonly PlacedBlock[], chosen: string | null): PlacedBlock | null {
  const inTurns = blocks.filter(({ rounds }) => rounds.length > 0);
  const own = inTurns.find(({ block }) => block.id === chosen);
  const [longest] = [...inTurns].sort((a, b) => b.toS - b.fromS - (a.toS - a.fromS));
  return own ?? longest ?? null;
}

/** Ticks far enough apart that their labels do not touch. */
function ticksIn(lengthS: number, pxPerS: number): number[] {
  const step = STEPS_S.find((each) => each * pxPerS >= LEAST_TICK_PX) ?? STEPS_S.at(-1) ?? lengthS;
  return Array.from({ length: Math.floor(lengthS / step) + 1 }, (_, i) => i * step);
}

/**
 * A session from left to right, and below it one block with turns in detail: stations as lanes, and athletes as
 * threads through them.
 */
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
  /** The time available. */
  minutes: number;
  athleteIds: readonly string[];
  /** The athlete whose thread is highlighted. */
  followed: string | null;
  chosen: string | null;
  onChoose: (blockId: string) => void;
}): ReactElement {
  const [ref, measured] = useWidth<HTMLDivElement>(LEAST_WIDTH);
  const width = Math.max(LEAST_WIDTH, measured);
  const endS = Math.max(MINUTE_S * minutes, endOf(blocks));
  const scale = (width - LEFT - RIGHT) / endS;
  const x = (s: number): number => LEFT + s * scale;
  const seen = seenThrough(blocks, chosen);
  const lanes = useMemo(() => fullest(seen?.rounds ?? []), [seen]);
  const threads = useMemo(() => (seen ? threadsOf(seen, athleteIds) : []), [seen, athleteIds]);
  const stationH = LINE + 2 * PAD;
  const sideH = (n: number) => (n === 0 ? 0 : (n - 1) * LINE + 2 * PAD);
  const first = TOP + BLOCK + (seen ? GAP : 0);
  const stationY = (i: number) => first + i * (stationH + 6);
  const helpsY = stationY(lanes.stations);
  const restsY = helpsY + (lanes.helps === 0 ? 0 : sideH(lanes.helps) + 6);
  const height = restsY + sideH(lanes.rests) + 4;
  const y = ({ lane, place }: Spot): number => {
    if (lane === 'helps') return helpsY + PAD + place * LINE;
    if (lane === 'rests') return restsY + PAD + place * LINE;
    return stationY(lane) + stationH / 2;
  };
  const seenS = seen ? seen.toS - seen.fromS : 1;
  const inside = (width - LEFT - RIGHT) / seenS;
  const within = (s: number): number => LEFT + s * inside;
  return (
    <Scroll ref={ref} tabIndex={0} role="group" aria-label={say('hour')}>
      <svg width={width} height={height} role="img" aria-label={say('hourOf')}>
        {ticksIn(endS, scale).map((s) => (
          <text key={s} className="tick" x={x(s)} y={14} textAnchor={s === 0 ? 'start' : 'middle'}>
            {wallClock(startsAt, s)}
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
        {seen && (
          <>
            <path
              className="through"
              d={`M${x(seen.fromS) + 1} ${TOP + BLOCK}L${LEFT} ${first}H${width - RIGHT}L${x(seen.toS) - 2} ${TOP + BLOCK}Z`}
            />
            {ticksIn(seenS, inside).map((s) => (
              <text
                key={s}
                className="tick"
                x={within(s)}
                y={first - 8}
                textAnchor={s === 0 ? 'start' : 'middle'}
              >
                {clockWords(s)}
              </text>
            ))}
          </>
        )}
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
        {[...threads]
          .sort((a, b) => Number(a.athleteId === followed) - Number(b.athleteId === followed))
          .map(({ athleteId, spots }) => (
            <g key={athleteId} className={athleteId === followed ? 'followed' : undefined}>
              <path
                className="thread"
                d={spots
                  .map(({ fromS, toS, ...spot }, nth) => {
                    const into = nth === 0 ? 0 : CHANGE * (toS - fromS);
                    return `${nth === 0 ? 'M' : 'L'}${within(fromS + into)} ${y(spot)}H${within(toS)}`;
                  })
                  .join('')}
              />
              {spots.map(
                ({ fromS, toS, ...spot }) =>
                  typeof spot.lane === 'number' && (
                    <circle
                      key={fromS}
                      className="dot"
                      cx={within((fromS + toS) / 2)}
                      cy={y(spot)}
                      r={athleteId === followed ? 7 : 5}
                    />
                  ),
              )}
            </g>
          ))}
      </svg>
    </Scroll>
  );
}
