import { wrong, type Problem, type Result } from '@orthokin/core/result';
import type { PatternBody } from './pattern.js';

/** Marks every pattern file. A change that old readers cannot cope with needs a new number. */
export const PATTERN_FILE_FORMAT = 'orthokin-pattern/1';

/** Serialises a pattern as a file. */
export const patternToFile = (pattern: PatternBody): string =>
  `${JSON.stringify({ format: PATTERN_FILE_FORMAT, ...pattern }, null, 2)}\n`;

/**
 * Parses a pattern file, without validating the pattern; a problem if it is no pattern file. `$schema` is allowed and
 * ignored.
 */
export function patternOfFile(text: string): Result<object> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch (error) {
    return wrong('', error instanceof Error ? error.message : 'not JSON', 'a file in JSON');
  }
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    return wrong('', text.slice(0, 40), 'a JSON object');
  const { format, ...rest } = parsed as Record<string, unknown>;
  const { $schema: _, ...pattern } = rest;
  if (format !== PATTERN_FILE_FORMAT)
    return wrong('format', format ?? 'nothing', JSON.stringify(PATTERN_FILE_FORMAT));
  return { ok: true, value: pattern };
}

/** The JSON pointer (RFC 6901) of a problem's field: `legs[2].at.x` is `/legs/2/at/x`. */
export const jsonPointer = ({ field }: Pick<Problem, 'field'>): string =>
  field === ''
    ? ''
    : `/${field
        .replace(/\[(\d+)\]/g, '.$1')
        .split('.')
        .join('/')}`;
