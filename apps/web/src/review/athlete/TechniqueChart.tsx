import { useCallback, type ReactElement } from 'react';
import { axisLook, tooltipLook } from '../../parts/chart/axes.js';
import { Chart, type Palette } from '../../parts/chart/Chart.js';
import type { Kind } from '../course-view.js';
import { techniqueSentence } from '../../words/report.js';
import { say } from '../../words/review.js';

const HUNDRED = 100;

/** Clean reps and false starts set by set, on the same time axis as the times. */
export function TechniqueChart({ kind: { sets } }: { kind: Kind }): ReactElement {
  const option = useCallback(
    (palette: Palette) => {
      const share = (of: (figures: (typeof sets)[number]['figures']) => number) =>
        sets
          .filter(({ figures }) => figures.cued > 0)
          .map(({ atMs, figures }) => [atMs, Math.round((HUNDRED * of(figures)) / figures.cued)]);
      const lines = [
        {
          name: say('cleanReps'),
          symbol: 'circle',
          ink: palette.good,
          data: share((f) => f.clean),
        },
        {
          name: say('falseStarts'),
          symbol: 'triangle',
          ink: palette.bad,
          data: share((f) => f.falseStarts),
        },
      ];
      return {
        grid: { left: 52, right: 18, top: 62, bottom: 34 },
        legend: {
          top: 0,
          left: 0,
          textStyle: { color: palette.ink, fontSize: 14 },
          data: lines.map(({ name }) => name),
        },
        tooltip: { ...tooltipLook(palette), trigger: 'item' },
        xAxis: { type: 'time', ...axisLook(palette), splitLine: { show: false } },
        yAxis: { type: 'value', min: 0, max: HUNDRED, name: say('cues'), ...axisLook(palette) },
        series: lines.map(({ name, symbol, ink, data }) => ({
          ...{ type: 'line', name, symbol, symbolSize: 8, data },
          lineStyle: { color: ink, width: 1.5 },
          itemStyle: { color: ink },
        })),
      };
    },
    [sets],
  );
  return (
    <Chart
      option={option}
      height={200}
      summary={say('techniqueOverSetsTechniquesentence', {
        sets: sets.length,
        techniqueSentence: techniqueSentence(sets),
      })}
    />
  );
}
