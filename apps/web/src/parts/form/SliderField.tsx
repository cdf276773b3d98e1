import type { ReactElement } from 'react';
import { Label, Slider, SliderOutput, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import { colour, MONO } from '../tokens.js';

const Box = styled(Slider)`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  .react-aria-Label {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .react-aria-SliderOutput {
    font: 600 16px/1.2 ${MONO};
  }
  .react-aria-SliderTrack {
    grid-column: 1 / -1;
    height: 36px;
    cursor: pointer;
  }
  .react-aria-SliderTrack::before {
    content: '';
    position: absolute;
    top: 50%;
    width: 100%;
    height: 3px;
    background: ${colour('rule')};
    transform: translateY(-50%);
  }
  .react-aria-SliderThumb {
    top: 50%;
    width: 24px;
    height: 24px;
    border: 2px solid ${colour('ink')};
    border-radius: 50%;
    background: ${colour('raised')};
  }
  .react-aria-SliderThumb[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    outline-offset: 2px;
  }
`;

/** A slider with its value in words. */
export const SliderField = ({
  label,
  words,
  ...slider
}: {
  label: string;
  words: string;
  value: number;
  minValue: number;
  maxValue: number;
  step: number;
  onChange: (value: number) => void;
}): ReactElement => (
  <Box {...slider} onChange={(value) => slider.onChange(Number(value))}>
    <Label>{label}</Label>
    <SliderOutput>{words}</SliderOutput>
    <SliderTrack>
      <SliderThumb />
    </SliderTrack>
  </Box>
);
