import type { EChartsCoreOption, EChartsType } from 'echarts/core';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { DARK, FONT, LIGHT } from '../tokens.js';

export type Palette = typeof LIGHT;

const Frame = styled.figure`
  margin: 0;
  figcaption {
    margin-top: 6px;
    font-size: 15px;
    color: var(--quiet);
  }
`;

/** The theme at the chart's place: a printed sheet is always light. */
const paletteAt = (element: Element): Palette =>
  element.closest('[data-theme]')?.getAttribute('data-theme') === 'dark' ? DARK : LIGHT;

/**
 * A chart, drawn once its library is loaded. `summary` describes it for people who cannot see it; the figures are in
 * a table beside it.
 */
export function Chart({
  option,
  summary,
  height,
  caption,
}: {
  option: (palette: Palette) => EChartsCoreOption;
  summary: string;
  height: number;
  caption?: string;
}): ReactElement {
  const place = useRef<HTMLDivElement>(null);
  const drawn = useRef<EChartsType | null>(null);
  const [lights, setLights] = useState(0);
  useEffect(() => {
    const watched = new MutationObserver(() => setLights((n) => n + 1));
    watched.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => watched.disconnect();
  }, []);
  useEffect(() => {
    let gone = false;
    const element = place.current;
    if (!element) return;
    void import('./echarts.js').then(({ begin }) => {
      if (gone) return;
      drawn.current ??= begin(element);
      const palette = paletteAt(element);
      drawn.current.setOption(
        {
          animation: false,
          textStyle: { fontFamily: FONT, fontSize: 14, color: palette.quiet },
          ...option(palette),
        },
        { notMerge: true },
      );
    });
    return () => {
      gone = true;
    };
  }, [option, lights]);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const watched = new ResizeObserver(() => drawn.current?.resize());
    watched.observe(element);
    return () => {
      watched.disconnect();
      drawn.current?.dispose();
      drawn.current = null;
    };
  }, []);
  return (
    <Frame>
      <div ref={place} role="img" aria-label={summary} style={{ height, width: '100%' }} />
      {caption && <figcaption>{caption}</figcaption>}
    </Frame>
  );
}
