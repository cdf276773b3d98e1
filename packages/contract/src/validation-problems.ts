import type { Problem } from '@orthokin/core/result';
import type { ValidationError } from 'class-validator';

/** Longer values are truncated: a refusal must fit on a screen. */
const SHOWN_LENGTH = 120;

function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > SHOWN_LENGTH ? `${text.slice(0, SHOWN_LENGTH)}…` : text;
}

const joined = (path: string, property: string): string => {
  if (path === '') return property;
  return /^\d+$/.test(property) ? `${path}[${property}]` : `${path}.${property}`;
};

const withoutName = (rule: string, property: string): string =>
  rule.startsWith(`${property} `) ? rule.slice(property.length + 1) : rule;

/** Flattens a validator's nested errors: which field, what was given, what is allowed. */
export const validationProblems = (errors: readonly ValidationError[], path = ''): Problem[] =>
  errors.flatMap(({ property, value, constraints, children }) => {
    const field = joined(path, property);
    // class-validator lists a property's rules bottom up; people expect the first rule first.
    const rules = Object.values(constraints ?? {})
      .reverse()
      .map((rule) => withoutName(rule, property));
    const own = rules.length > 0 ? [{ field, given: shown(value), allowed: rules.join(', ') }] : [];
    return [...own, ...validationProblems(children ?? [], field)];
  });
