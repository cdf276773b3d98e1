import { quantileCurve, type Comparison } from '@orthokin/core/stats';
import { useCallback, type ReactElement } from 'react';
import { axisLook, tooltipLook } from '../../parts/chart/axes.js';
import { Chart, type Palette } from '../../parts/chart/Chart.js';
import { compareSentence } from '../../words/compare.js';
import { say } from '../../words/review.js';

const HUNDRED = 100;
const inSeconds = (ms: number) => Math.round(ms) / 1000;

/** All times of two groups as dots, with their quantile curves, which show where they differ. */
export function TimesChart({
  names,
  times,
  duration,
  comparison,
}: {
  names: readonly [string, string];
  times: readonly [readonly number[], readonly number[]];
  duration: string;
  comparison: Comparison;
}): ReactElement {
  const option = useCallback(
    (palette: Palette) => {
      const looks = [
        { colour: palette.ink, dash: 'solid', symbol: 'circle' },
        { colour: palette.second, dash: 'dashed', symbol: 'diamond' },
      ] as const;
      return {
        grid: { left: 58, right: 18, top: 66, bottom: 44 },
        legend: {
          top: 0,
          left: 0,
          data: [...names],
          textStyle: { color: palette.ink, fontSize: 14 },
        },
        tooltip: { ...tooltipLook(palette), trigger: 'item' },
        xAxis: {
          type: 'value',
          scale: true,
          name: `${duration}, s`,
          nameLocation: 'middle',
          nameGap: 26,
          ...axisLook(palette),
        },
        yAxis: {
          type: 'value',
          min: 0,
          max: HUNDRED,
          name: say('repsThisQuick'),
          ...axisLook(palette),
          nameTextStyle: { align: 'left', color: palette.quiet, fontSize: 14 },
        },
        series: looks.flatMap(({ colour, dash, symbol }, i) => {
          const own = [...(times[i] ?? [])].sort((a, b) => a - b);
          const common = { name: names[i], itemStyle: { color: colour } };
          return [
            {
              ...common,
              type: 'line',
              symbol: 'none',
              lineStyle: { color: colour, width: 2, type: dash },
              data: quantileCurve(own).map(([share, ms]) => [inSeconds(ms), HUNDRED * share]),
            },
            {
              ...common,
              type: 'scatter',
              symbol,
              symbolSize: 8,
              data: own.map((ms, n) => [
                inSeconds(ms),
                Math.round((HUNDRED * (n + 0.5)) / own.length),
              ]),
            },
          ];
        }),
      };
    },
    [names, times, duration],
  );
  return (
    <Chart
      option={option}
      height={280}
      summary={say('quantileCurvesBothComparesentence', {
        compareSentence: compareSentence(comparison, duration, 'second'),
      })}
      caption={say('eachDotRepCurveFurtherLeft')}
    />
  );
}
