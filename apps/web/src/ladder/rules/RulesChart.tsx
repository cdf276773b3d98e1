import { useCallback, type ReactElement } from 'react';
import { axisLook, tooltipLook } from '../../parts/chart/axes.js';
import { Chart, type Palette } from '../../parts/chart/Chart.js';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { finePercent } from '../../words/rules.js';
import { TRUE_RATES } from '@orthokin/core/progress';
import type { RulesAnswer } from './simulate.js';
import { say } from '../../words/ladder.js';
import { commaList } from '../../words/format.js';

const LOOKS = [
  { symbol: 'circle', type: 'solid' },
  { symbol: 'diamond', type: 'dashed' },
] as const;

/** Share of athletes moved up against their true pass rate, for two rules. */
export function RulesChart({
  answer,
  names,
  readyRate,
}: {
  answer: RulesAnswer;
  names: readonly string[];
  readyRate: number;
}): ReactElement {
  const option = useCallback(
    (palette: Palette) => ({
      grid: { left: 56, right: 20, top: 70, bottom: 46 },
      legend: { top: 0, left: 0, textStyle: { color: palette.ink, fontSize: 15 }, data: names },
      tooltip: {
        ...tooltipLook(palette),
        formatter: ({ seriesName, value }: { seriesName: string; value: [number, number] }) =>
          say('seriesnameValueMovedUpValue2', {
            seriesName,
            value: value[1].toFixed(1),
            value2: value[0],
          }),
      },
      xAxis: {
        ...{ type: 'value', min: 50, max: 95, name: say('trueShareRepsPassed') },
        ...{
          nameLocation: 'middle',
          nameGap: 28,
          ...axisLook(palette),
          splitLine: { show: false },
        },
      },
      yAxis: { type: 'value', min: 0, max: 100, name: say('movedUp'), ...axisLook(palette) },
      series: answer.map((outcomes, i) => ({
        ...{ type: 'line', name: names[i], symbol: LOOKS[i]?.symbol, symbolSize: 9 },
        itemStyle: { color: i === 0 ? palette.ink : PHASE_COLOURS.travel },
        lineStyle: { width: 2.5, type: LOOKS[i]?.type },
        data: outcomes.map(({ moved }, at) => [100 * (TRUE_RATES[at] ?? NaN), 100 * moved]),
        ...(i === 0 && {
          markLine: {
            ...{ symbol: 'none', silent: true, data: [{ xAxis: 100 * readyRate }] },
            label: { formatter: 'ready', color: palette.quiet, fontSize: 14, distance: 12 },
            lineStyle: { color: palette.quiet, type: 'dotted' },
          },
        }),
      })),
    }),
    [answer, names, readyRate],
  );
  const summary = answer
    .map(
      (outcomes, i) =>
        `${names[i] ?? ''}: ${commaList(outcomes.map(({ moved }, at) => say('finepercentFinepercent2', { finePercent: finePercent(moved), finePercent2: finePercent(TRUE_RATES[at] ?? 0) })))}`,
    )
    .join('. ');
  return (
    <Chart
      option={option}
      summary={say('shareAthletesMovedUpTheirTrue', { summary })}
      height={340}
      caption={say('leftLineMarkedReadyMoveComes')}
    />
  );
}
