import { ok, wrong } from '@orthokin/core/result';
import type { ReactElement } from 'react';
import { TypedField } from './TypedField.js';

/** Parses a time of day: 17:30, 17.30 or 1730. */
const timeOf = (text: string) => {
  const [, hours, minutes] = /^(\d{1,2})[:.]?([0-5]\d)$/.exec(text.trim()) ?? [];
  return hours === undefined || Number(hours) > 23
    ? wrong('', text, '17:30')
    : ok(`${hours.padStart(2, '0')}:${minutes}`);
};

/** A local time of day, HH:MM. */
export const TimeField = (field: {
  label: string;
  value: string;
  onChange: (time: string) => void;
}): ReactElement => <TypedField<string> {...field} show={(time) => time} parse={timeOf} />;
