import { LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as register, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

register([
  ...[LineChart, ScatterChart, SVGRenderer],
  ...[GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent],
]);

/** Begins a chart in an element, as SVG, which prints sharply. */
export const begin = (element: HTMLElement): EChartsType =>
  init(element, null, { renderer: 'svg' });
