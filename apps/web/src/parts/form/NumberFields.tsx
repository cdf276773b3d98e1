import { lengthWords, parseLength, type LengthUnit } from '@orthokin/core/floor';
import { ok, wrong, type Result } from '@orthokin/core/result';
import type { ReactElement } from 'react';
import { say } from '../../words/parts.js';
import { TypedField } from './TypedField.js';

interface Range {
  readonly min: number;
  readonly max: number;
}

interface Common extends Partial<Range> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

const within = (
  result: Result<number>,
  { min = -Infinity, max = Infinity }: Partial<Range>,
  words: (value: number) => string,
): Result<number> =>
  result.ok && (result.value < min || result.value > max)
    ? wrong('', result.value, say('minToMax', { min: words(min), max: words(max) }))
    : result;

/** A length, entered in the coach's unit; the value is in metres. */
export const LengthField = ({
  unit,
  min,
  max,
  ...field
}: Common & { unit: LengthUnit }): ReactElement => {
  const words = (metres: number) => lengthWords(metres, unit);
  return (
    <TypedField
      {...field}
      show={words}
      parse={(text) => within(parseLength(text, unit), { min: min ?? -60, max: max ?? 60 }, words)}
    />
  );
};

/** A length that may be unknown: empty is `null`. */
export const OptionalLengthField = ({
  unit,
  min,
  max,
  value,
  onChange,
  ...field
}: Omit<Common, 'value' | 'onChange'> &
  Range & {
    unit: LengthUnit;
    value: number | null;
    onChange: (value: number | null) => void;
    /** Shown below the field. */
    hint?: string | undefined;
  }): ReactElement => {
  const words = (metres: number) => lengthWords(metres, unit);
  return (
    <TypedField<number | null>
      {...{ ...field, value, onChange }}
      show={(metres) => (metres === null ? '' : words(metres))}
      parse={(text) =>
        text.trim() === '' ? ok(null) : within(parseLength(text, unit), { min, max }, words)
      }
    />
  );
};

/** A number with its unit and a fixed number of decimals. */
export const NumberField = ({
  unit,
  decimals = 0,
  min,
  max,
  ...field
}: Common & Range & { unit: string; decimals?: number }): ReactElement => {
  const words = (value: number) => `${value.toFixed(decimals)}${unit && ` ${unit}`}`;
  const parse = (text: string): Result<number> => {
    const value = Number(text.replace(unit, '').replace(',', '.').replace('−', '-').trim());
    return Number.isNaN(value) || text.trim() === ''
      ? wrong('', text, unit ? say('aNumberInUnit', { unit }) : say('aNumberInFigures'))
      : within(ok(value), { min, max }, words);
  };
  return <TypedField {...field} show={words} parse={parse} />;
};

const HUNDRED = 100;

/** A share, entered in percent; value and bounds are 0 to 1. */
export const ShareField = ({
  value,
  min = 0,
  max = 1,
  onChange,
  ...field
}: Common & { decimals?: number }): ReactElement => (
  <NumberField
    {...field}
    unit="%"
    value={HUNDRED * value}
    min={HUNDRED * min}
    max={HUNDRED * max}
    onChange={(percent) => onChange(percent / HUNDRED)}
  />
);

const SECOND_MS = 1000;

/** A time, entered in seconds; value and bounds are in ms. */
export const SecondsField = ({
  valueMs,
  minMs,
  maxMs,
  decimals = 2,
  onChange,
  ...field
}: Omit<Common, 'value' | 'min' | 'max'> & {
  valueMs: number;
  minMs: number;
  maxMs: number;
  decimals?: number;
}): ReactElement => (
  <NumberField
    {...field}
    unit="s"
    decimals={decimals}
    value={valueMs / SECOND_MS}
    min={minMs / SECOND_MS}
    max={maxMs / SECOND_MS}
    onChange={(seconds) => onChange(Math.round(SECOND_MS * seconds))}
  />
);

/** A count. */
export const CountField = ({ onChange, ...field }: Common & Range): ReactElement => (
  <NumberField {...field} unit="" onChange={(count) => onChange(Math.round(count))} />
);
