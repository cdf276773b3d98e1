import type { AthleteCourseReply } from '@orthokin/contract';
import { byDay, curveAt, type CourseDuration, type Forecast } from '@orthokin/core/stats';
import { useCallback, useMemo, type ReactElement } from 'react';
import { axisLook, tooltipLook } from '../../parts/chart/axes.js';
import { Chart, type Palette } from '../../parts/chart/Chart.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { useSum } from '../sums/useSum.js';
import { Working } from '../../parts/working/Working.js';
import { forecastSentence } from '../../words/change.js';
import { limitOf, type Kind } from '../course-view.js';
import { say } from '../../words/review.js';

/** How many sessions ahead a forecast may look. */
const AHEAD = 20;
const FEWEST_ON_RUNG = 5;

/** The learning curve, its uncertainty, and when the next limit is likely met. */
export function ForecastPart({
  course,
  kind,
  duration,
}: {
  course: AthleteCourseReply;
  kind: Kind;
  duration: CourseDuration;
}): ReactElement {
  const newest = kind.sets.at(-1);
  // They may have moved on another pattern's ladder since.
  const moved = course.moves.filter(({ patternId }) => patternId === newest?.patternId).at(-1);
  const rung = moved?.toRung ?? newest?.rung ?? 1;
  const thresholdMs = limitOf(kind.pattern, rung, duration);
  const { sets } = kind;
  const { days, isOnRung } = useMemo(() => {
    const onRung = byDay(
      sets.filter((set) => set.rung === rung),
      duration,
    );
    return onRung.length >= FEWEST_ON_RUNG
      ? { days: onRung, isOnRung: true }
      : { days: byDay(sets, duration), isOnRung: false };
  }, [sets, rung, duration]);
  const horizon = days.length + AHEAD;
  const sum = useMemo(
    () =>
      thresholdMs === null
        ? null
        : {
            kind: 'forecast' as const,
            sessions: days.map(({ session }) => session),
            values: days.map(({ ms }) => ms),
            ...{ thresholdMs, horizon: days.length + AHEAD },
          },
    [days, thresholdMs],
  );
  const working = useSum<'forecast'>(sum);
  const { answer } = working;
  return (
    <section style={{ marginTop: 30, maxWidth: 1080 }}>
      <Heading>{say('whereThisLeads')}</Heading>
      {thresholdMs === null ? (
        <Quiet>{say('rungRungSetsNoLimitDuration', { rung, duration })}</Quiet>
      ) : (
        <>
          <Working of={working} what={say('forecast')} />
          {answer && (
            <>
              <p style={{ margin: '0 0 8px', maxWidth: '78ch' }}>
                {forecastSentence(answer, { thresholdMs, horizon, done: days.length })}
              </p>
              <Quiet style={{ fontSize: 16, marginBottom: 8 }}>
                {say('whichCurvePracticeCarriedNotPromise', {
                  which: isOnRung
                    ? say('fromDaysSessionsRungRung', { days: days.length, rung })
                    : say('rungRungHasTooFewSessions', { rung, days: days.length }),
                })}
              </Quiet>
              {answer.ok && (
                <ForecastChart
                  forecast={answer.value}
                  days={days}
                  thresholdMs={thresholdMs}
                  duration={duration}
                />
              )}
            </>
          )}
        </>
      )}
    </section>
  );
}

function ForecastChart({
  forecast,
  days,
  thresholdMs,
  duration,
}: {
  forecast: Forecast;
  days: readonly { readonly session: number; readonly ms: number }[];
  thresholdMs: number;
  duration: CourseDuration;
}): ReactElement {
  const option = useCallback(
    (palette: Palette) => {
      const seconds = (ms: number) => Math.round(ms / 10) / 100;
      const at = (of: (i: number) => number) =>
        forecast.bands.map((_, i) => [i + 1, seconds(of(i))]);
      const low = at((i) => forecast.bands[i]?.low ?? NaN);
      const spread = at((i) => {
        const band = forecast.bands[i];
        return band ? band.high - band.low : NaN;
      });
      const hidden = { symbol: 'none', lineStyle: { opacity: 0 }, stack: 'band', silent: true };
      return {
        grid: { left: 52, right: 18, top: 30, bottom: 44 },
        tooltip: { ...tooltipLook(palette), trigger: 'item' },
        xAxis: {
          type: 'value',
          min: 1,
          max: forecast.bands.length,
          name: 'session',
          nameLocation: 'middle',
          nameGap: 26,
          ...axisLook(palette),
          splitLine: { show: false },
        },
        yAxis: { type: 'value', scale: true, name: `${duration}, s`, ...axisLook(palette) },
        series: [
          { type: 'line', data: low, ...hidden },
          {
            type: 'line',
            data: spread,
            ...hidden,
            areaStyle: { color: palette.quiet, opacity: 0.2 },
          },
          {
            type: 'line',
            symbol: 'none',
            lineStyle: { color: palette.ink, width: 2 },
            data: at((i) => curveAt(forecast.curve, i + 1)),
            markLine: {
              symbol: 'none',
              silent: true,
              lineStyle: { color: palette.bad, type: 'dashed' },
              label: { formatter: 'limit', color: palette.bad, position: 'insideEndTop' },
              data: [{ yAxis: seconds(thresholdMs) }],
            },
          },
          {
            type: 'scatter',
            symbolSize: 9,
            itemStyle: { color: palette.ink },
            data: days.map(({ session, ms }) => [session, seconds(ms)]),
          },
        ],
      };
    },
    [forecast, days, thresholdMs, duration],
  );
  return (
    <Chart
      option={option}
      height={250}
      summary={say('durationSessionDaysSessionsDoneCurve', {
        duration,
        days: days.length,
        bands: forecast.bands.length,
      })}
      caption={say('dotsMiddleEachTrainingDayGrey')}
    />
  );
}
