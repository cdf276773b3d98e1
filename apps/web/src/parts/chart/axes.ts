import type { Palette } from './Chart.js';

/** The product's style of axes: thin rules, quiet figures. */
export const axisLook = (palette: Palette) => ({
  axisLine: { lineStyle: { color: palette.rule } },
  axisTick: { lineStyle: { color: palette.rule } },
  axisLabel: { color: palette.quiet, fontSize: 14 },
  splitLine: { lineStyle: { color: palette.rule, opacity: 0.6 } },
  nameTextStyle: { color: palette.quiet, fontSize: 14 },
});

export const tooltipLook = (palette: Palette) => ({
  backgroundColor: palette.raised,
  borderColor: palette.ink,
  textStyle: { color: palette.ink, fontSize: 15 },
});
