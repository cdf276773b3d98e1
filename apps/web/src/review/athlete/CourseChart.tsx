import type { AthleteCourseReply, CourseSetReply } from '@orthokin/contract';
import { byDay, DAY_MS, type CourseDuration } from '@orthokin/core/stats';
import { useCallback, type ReactElement } from 'react';
import { axisLook, tooltipLook } from '../../parts/chart/axes.js';
import { Chart, type Palette } from '../../parts/chart/Chart.js';
import { capital, dayWords, secondsWithUnit } from '../../words/format.js';
import { durationInk } from '../../parts/phases.js';
import type { Kind } from '../course-view.js';
import { say } from '../../words/review.js';

const SYMBOLS = ['circle', 'diamond', 'triangle', 'rect', 'roundRect', 'pin'] as const;
/** Noon of a day: days are compared, hours mean nothing. */
const middleOf = (day: string): number => Date.parse(`${day}T12:00:00`);
/** Noon of the local day of a moment. */
const middleOfDayAt = (moment: string): number => new Date(moment).setHours(12, 0, 0, 0);

const symbolOf = (rung: number): string => SYMBOLS[(rung - 1) % SYMBOLS.length] ?? 'circle';

/** All sets of a kind on a time axis, rung by rung, with moves and notes. */
export function CourseChart({
  course,
  kind,
  duration,
}: {
  course: AthleteCourseReply;
  kind: Kind;
  duration: CourseDuration;
}): ReactElement {
  const { sets } = kind;
  const option = useCallback(
    (palette: Palette) => {
      const ink = durationInk(duration, palette.ink);
      const rungs = [...new Set(sets.map(({ rung }) => rung))].sort((a, b) => a - b);
      const msOf = (set: CourseSetReply) => (set.figures.mediansMs[duration] ?? NaN) / 1000;
      const [first, last] = [sets[0]?.day ?? '', sets.at(-1)?.day ?? ''];
      const within = (ms: number) => ms >= middleOf(first) && ms <= middleOf(last);
      const moves = course.moves
        .filter(
          ({ patternId, movedAt }) =>
            patternId === sets[0]?.patternId && within(middleOfDayAt(movedAt)),
        )
        .map(({ toRung, movedAt }) => ({
          xAxis: middleOfDayAt(movedAt),
          name: say('rungTorung', { toRung }),
        }));
      const notes = course.notes.flatMap(({ setId, text }) => {
        const set = sets.find((each) => each.setId === setId);
        return set ? [{ xAxis: middleOf(set.day), name: text.slice(0, 28) }] : [];
      });
      return {
        grid: { left: 52, right: 18, top: 62, bottom: 34 },
        legend: {
          top: 0,
          left: 0,
          textStyle: { color: palette.ink, fontSize: 14 },
          data: rungs.map((rung) => say('rungRung', { rung })),
        },
        tooltip: {
          ...tooltipLook(palette),
          formatter: ({ seriesName, value }: { seriesName: string; value: [number, number] }) =>
            `${dayWords(new Date(value[0]).toISOString())}, ${seriesName}: ${value[1].toFixed(2)} s`,
        },
        xAxis: {
          type: 'time',
          minInterval: DAY_MS,
          ...axisLook(palette),
          axisLabel: {
            ...axisLook(palette).axisLabel,
            hideOverlap: true,
            formatter: (ms: number) => dayWords(new Date(ms).toISOString()),
          },
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          scale: true,
          name: `${duration}, s`,
          ...axisLook(palette),
        },
        series: [
          ...rungs.map((rung) => ({
            type: 'scatter',
            name: say('rungRung', { rung }),
            symbol: symbolOf(rung),
            symbolSize: 11,
            itemStyle: { color: ink, opacity: 0.45 + (0.5 * rung) / Math.max(...rungs) },
            data: sets
              .filter((set) => set.rung === rung && Number.isFinite(msOf(set)))
              .map((set) => [middleOf(set.day), msOf(set)]),
          })),
          {
            type: 'line',
            name: say('movesNotes'),
            data: [],
            markLine: {
              symbol: 'none',
              label: {
                formatter: '{b}',
                color: palette.quiet,
                fontSize: 13,
                position: 'insideEndTop',
              },
              lineStyle: { color: palette.quiet, type: 'dashed' },
              data: [
                ...moves,
                ...notes.map((note) => ({ ...note, lineStyle: { type: 'dotted' } })),
              ],
            },
          },
        ],
      };
    },
    [course, sets, duration],
  );
  const days = byDay(sets, duration);
  const [first, last] = [days[0], days.at(-1)];
  const summary =
    first && last
      ? say('durationSetsOverDaysMsFirst', {
          duration: capital(duration),
          sets: sets.length,
          days: days.length,
          ms: secondsWithUnit(first.ms),
          ms2: secondsWithUnit(last.ms),
          moves: course.moves.length,
        })
      : say('durationWasNotTimedTheseSets', { duration: capital(duration) });
  return (
    <Chart option={option} summary={summary} height={320} caption={say('oneMarkSetItsShapeRung')} />
  );
}
