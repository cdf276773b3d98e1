import type { AthleteCourseReply, PatternReply } from '@orthokin/contract';
import type { SeasonDay } from '@orthokin/core/stats';
import { NotebookPen } from 'lucide-react';
import { useMemo, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { Axis, AXIS } from '../../parts/ribbon/Axis.js';
import { Band, LimitTick } from '../../parts/ribbon/Band.js';
import type { Scale } from '../../parts/ribbon/scale.js';
import { Quiet } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import { useWidth } from '../../parts/useWidth.js';
import { dateWords, seconds } from '../../words/format.js';
import { say, seasonDayWords } from '../../words/season.js';
import { limitOf } from '../course-view.js';

const ROW = 32;
const BAND = 22;
/** Space between days that are a week or more apart. */
const PAUSE = 24;
const LONG_PAUSE_DAYS = 7;
/** Where ribbons begin, after rung and date; the cycle's figure is at the right. */
const LEFT = 132;
const LEFT_NARROW = 98;
const NARROW = 560;
const RIGHT = 64;
/** Longer seasons are cut to their newest days. */
const MOST_SHOWN = 30;

const Drawing = styled.div`
  position: relative;
  svg {
    display: block;
  }
  ol {
    position: absolute;
    inset: 0;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  ol button {
    position: absolute;
    right: 0;
    left: 34px;
    height: ${ROW}px;
    padding: 0;
    border: 0;
    border-radius: 4px;
    background: none;
    cursor: pointer;
  }
  @media print {
    ol {
      display: none;
    }
  }
  ol button:hover,
  ol button[aria-expanded='true'] {
    box-shadow: inset 0 0 0 2px ${colour('ink')};
  }
`;

/** A day, and where its row begins. */
interface Row {
  readonly day: SeasonDay;
  readonly y: number;
}

function rowsOf(days: readonly SeasonDay[]): { rows: Row[]; height: number } {
  let y = AXIS + 6;
  const rows = days.map((day, i): Row => {
    if (i > 0 && day.daysOff >= LONG_PAUSE_DAYS) y += PAUSE;
    const row = { day, y };
    y += ROW;
    return row;
  });
  return { rows, height: y + 4 };
}

/** Runs of days on one rung, each drawn as a band. */
function bandsOf(rows: readonly Row[]): { rung: number; from: number; to: number }[] {
  const bands: { rung: number; from: number; to: number }[] = [];
  for (const { day, y } of rows) {
    const last = bands.at(-1);
    if (last?.rung === day.rung) last.to = y + BAND;
    else bands.push({ rung: day.rung, from: y, to: y + BAND });
  }
  return bands;
}

function DayRibbon({
  row: { day, y },
  pattern,
  scale,
  width,
  isNoted,
  isRepeated,
}: {
  row: Row;
  pattern: PatternReply | undefined;
  scale: Scale;
  width: number;
  isNoted: boolean;
  /** The row above is of the same day and shows the date. */
  isRepeated: boolean;
}): ReactElement {
  const { stretches, spreadMs, rung, isTest, daysOff } = day;
  const endMs = stretches.at(-1)?.toMs ?? 0;
  const actionMs = stretches.at(-1)?.fromMs ?? 0;
  const reaction = limitOf(pattern, rung, 'reaction');
  const recovery = limitOf(pattern, rung, 'recovery');
  const date = isRepeated ? '' : dateWords(day.day);
  return (
    <g transform={`translate(0 ${y})`}>
      {daysOff >= LONG_PAUSE_DAYS && (
        <text x={scale.x(0)} y={-10} fontSize={14} fill={colour('quiet')}>
          {say('daysOff', { days: daysOff })}
        </text>
      )}
      <text
        x={scale.x(0) - 12}
        y={BAND / 2}
        dy="0.35em"
        textAnchor="end"
        fontSize={15}
        fontWeight={isTest ? 700 : 450}
        fill={colour(isTest ? 'ink' : 'quiet')}
      >
        {date}
      </text>
      {stretches.map((stretch) => (
        <Band key={stretch.fromMs} segment={stretch} scale={scale} height={BAND} />
      ))}
      {reaction !== null && stretches[0]?.phases.includes('reaction') && (
        <LimitTick x={scale.x(reaction)} height={BAND} />
      )}
      {recovery !== null && spreadMs && (
        <LimitTick x={scale.x(actionMs + recovery)} height={BAND} />
      )}
      {spreadMs && (
        <g stroke={colour('ink')} strokeWidth={2}>
          <line x1={scale.x(spreadMs[0])} x2={scale.x(spreadMs[1])} y1={BAND / 2} y2={BAND / 2} />
          {spreadMs.map((ms, i) => (
            <line key={i} x1={scale.x(ms)} x2={scale.x(ms)} y1={BAND / 2 - 5} y2={BAND / 2 + 5} />
          ))}
        </g>
      )}
      {isNoted && (
        <NotebookPen x={width - RIGHT - 4} y={3} width={16} height={16} color={colour('quiet')} />
      )}
      <text
        x={width - 4}
        y={BAND / 2}
        dy="0.35em"
        textAnchor="end"
        fontFamily={MONO}
        fontSize={16}
        fontWeight={isTest ? 700 : 450}
        fill={colour('ink')}
      >
        {spreadMs ? seconds(endMs) : '–'}
      </text>
    </g>
  );
}

/** An athlete's weeks as one ribbon per training day, which shows in which phase the time changed. */
export function Season({
  course,
  days,
  pattern,
  open,
  onOpen,
  caption = say('ribbonADay'),
}: {
  course: AthleteCourseReply;
  days: readonly SeasonDay[];
  pattern: PatternReply | undefined;
  /** The opened day's {@link keyOfDay}; empty for none. */
  open: string;
  onOpen: (key: string) => void;
  /** How to read the drawing. */
  caption?: string;
}): ReactElement {
  const [ref, width] = useWidth<HTMLDivElement>(900);
  const [isWhole, setWhole] = useState(false);
  const noted = useMemo(() => new Set(course.notes.map(({ setId }) => setId)), [course.notes]);
  const shown = isWhole ? days : days.slice(-MOST_SHOWN);
  const { rows, height } = rowsOf(shown);
  const left = width < NARROW ? LEFT_NARROW : LEFT;
  const endMs = Math.max(
    1000,
    ...shown.flatMap(({ stretches, spreadMs }) => [
      ...stretches.map(({ toMs }) => toMs),
      ...(spreadMs ?? []),
    ]),
  );
  const scale: Scale = {
    startMs: 0,
    endMs,
    x: (ms) => left + (ms / endMs) * (width - left - RIGHT - 14),
  };
  const hasNote = ({ sets }: SeasonDay) => sets.some(({ setId }) => noted.has(setId));
  return (
    <>
      {shown.length < days.length && (
        <Button onPress={() => setWhole(true)}>
          {say('earlier', { days: days.length - shown.length })}
        </Button>
      )}
      <Drawing ref={ref}>
        <svg width={width} height={height} aria-hidden>
          <Axis scale={scale} height={height - 6} limitsMs={{}} />
          <text x={2} y={AXIS - 12} fontSize={14} fill={colour('quiet')}>
            {say('rung')}
          </text>
          {bandsOf(rows).map(({ rung, from, to }) => (
            <g key={from}>
              <rect x={22} y={from} width={6} height={to - from} fill={colour('ink')} />
              <text
                x={8}
                y={(from + to) / 2}
                dy="0.35em"
                textAnchor="middle"
                fontSize={16}
                fontWeight={700}
                fill={colour('ink')}
              >
                {rung}
              </text>
            </g>
          ))}
          {rows.map((row, i) => (
            <DayRibbon
              key={keyOfDay(row.day)}
              {...{ row, pattern, scale, width }}
              isNoted={hasNote(row.day)}
              isRepeated={rows[i - 1]?.day.day === row.day.day}
            />
          ))}
        </svg>
        <ol>
          {rows.map(({ day, y }) => (
            <li key={keyOfDay(day)}>
              <button
                type="button"
                style={{ top: y - (ROW - BAND) / 2 }}
                aria-label={seasonDayWords(day, hasNote(day))}
                aria-expanded={open === keyOfDay(day)}
                onClick={() => onOpen(open === keyOfDay(day) ? '' : keyOfDay(day))}
              />
            </li>
          ))}
        </ol>
      </Drawing>
      <Quiet style={{ marginTop: 8, fontSize: 15 }}>{caption}</Quiet>
    </>
  );
}

/** The name of a season's day in addresses. */
export const keyOfDay = ({ day, rung, isTest }: SeasonDay): string =>
  `${day}-${rung}${isTest ? '-test' : ''}`;
