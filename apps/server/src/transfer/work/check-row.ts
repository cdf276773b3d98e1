import { CLUB_LISTS, validationProblems, type ClubList, type InList } from '@orthokin/contract';
import { checkPattern } from '@orthokin/core/pattern';
import type { Problem } from '@orthokin/core/result';
import { Ajv, type ValidateFunction } from 'ajv';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { schemasUnder } from '../../platform/http/schemas.js';
import { shapeProblems } from '../../platform/http/shape.js';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;
const SCHEMAS = '#/$defs/';

let ofRep: ValidateFunction | null = null;

/**
 * Reps are many, and their rules are plain bounds: compiled, they are held against a rep some hundred
 * times faster. Whatever does not pass here is read again by the rules themselves, which say why.
 */
function isPlainlyGood(rep: unknown): boolean {
  ofRep ??= new Ajv({ formats: { uuid: UUID, 'date-time': true, date: true } }).compile({
    $ref: `${SCHEMAS}${CLUB_LISTS.reps.name}`,
    $defs: schemasUnder(SCHEMAS),
  });
  return ofRep(rep) && (rep as InList<'reps'>).corrected == null;
}

/** A row of a club's file held against its class: the row, or what is wrong with it. */
export function checkRow<List extends ClubList>(
  list: List,
  given: unknown,
): InList<List> | readonly Problem[] {
  const of = CLUB_LISTS[list];
  const shape = shapeProblems(of, given);
  if (shape.length > 0) return shape;
  if (list === 'reps' && isPlainlyGood(given)) return given as InList<List>;
  const row = plainToInstance<object, unknown>(of, given);
  const errors = validateSync(row, { whitelist: true, forbidNonWhitelisted: true });
  if (errors.length > 0) return validationProblems(errors);
  if (list !== 'patterns') return row as InList<List>;
  for (const { body } of (row as InList<'patterns'>).versions) {
    const checked = checkPattern(body);
    if (!checked.ok) return [checked.problem];
  }
  return row as InList<List>;
}
