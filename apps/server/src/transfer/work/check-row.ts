import { CLUB_LISTS, validationProblems, type ClubList, type InList } from '@orthokin/contract';
import { checkPattern } from '@orthokin/core/pattern';
import type { Problem } from '@orthokin/core/result';
import { Ajv, type ValidateFunction } from 'ajv';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { LRUCache } from 'lru-cache';
import { schemasUnder } from '../../platform/http/schemas.js';
import { shapeProblems } from '../../platform/http/shape.js';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;
/** Just enough to tell a day from a moment; whether it exists is checked elsewhere. */
const FORMATS = { uuid: UUID, date: /^[\d-]+$/, 'date-time': /T/ };
const SCHEMAS = '#/$defs/';

interface ClassSchema {
  readonly properties?: Record<string, unknown>;
  readonly required?: readonly string[];
}

/** Lists with so many rows that their rules are compiled. */
type ManyRows = Extract<ClubList, 'reps' | 'sets'>;

const compiled = new Map<ManyRows, ValidateFunction>();
let allSchemas: Record<string, ClassSchema> | null = null;

/** The JSON Schema of a list's rows, without some fields that are checked elsewhere. */
function schemaOf(list: ManyRows, apart: readonly string[]): object {
  const name = CLUB_LISTS[list].name;
  const defs = (allSchemas ??= schemasUnder(SCHEMAS) as Record<string, ClassSchema>);
  const { properties = {}, required = [], ...own } = defs[name] ?? {};
  const isIn = (field: string) => !apart.includes(field);
  const kept = Object.entries(properties).filter(([field]) => isIn(field));
  return {
    $ref: `${SCHEMAS}${name}`,
    $defs: {
      ...defs,
      [name]: { ...own, properties: Object.fromEntries(kept), required: required.filter(isIn) },
    },
  };
}

function rulesOf(list: ManyRows): ValidateFunction {
  const rules =
    compiled.get(list) ??
    new Ajv({ formats: FORMATS }).compile(
      schemaOf(list, list === 'sets' ? ['conditions', 'limitsMs'] : []),
    );
  compiled.set(list, rules);
  return rules;
}

/** Compiles the rules in advance, which takes as long as validating some hundred rows. */
export function compileRules(): void {
  rulesOf('sets');
  rulesOf('reps');
}

function bySchema(list: ManyRows, row: object): boolean {
  // JSON Schema treats null and absent differently; the class's rules do not.
  return rulesOf(list)(
    Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)),
  );
}

/** Conditions and limits already accepted by the class's rules; a club has few different ones. */
const goodParts = new LRUCache<string, true>({ max: 1000 });
/** Conditions and limits as a text: equal texts get the same verdict. */
export const partsOf = ({
  conditions,
  limitsMs,
}: Pick<InList<'sets'>, 'conditions' | 'limitsMs'>) => JSON.stringify([conditions, limitsMs]);

/**
 * Whether the compiled rules accept a rep or a set, which is some hundred times faster than its class's. They leave
 * out what depends on other fields (a pace's steps, a correction) and moments. A row they do not accept is checked by
 * its class, which says what is wrong.
 */
function isPlainlyGood(list: ClubList, row: object): boolean {
  if (list === 'reps') return isPlainRep(row);
  return list === 'sets' && isPlainSet(row) && goodParts.has(partsOf(row as InList<'sets'>));
}

/** Whether the compiled rules accept a rep of the right shape. */
export function isPlainRep(row: object): boolean {
  const { corrected, replaces } = row as InList<'reps'>;
  return corrected == null && replaces == null && bySchema('reps', row);
}

/** Whether the compiled rules accept a set of the right shape, except for its conditions and limits. */
export function isPlainSet(row: object): boolean {
  if (!bySchema('sets', row)) return false;
  const set = row as InList<'sets'>;
  const moments = [set.startedAt, set.endedAt].filter((at) => at != null);
  return (
    moments.every(isPlainMoment) &&
    isPlainMoment(`${set.day}T00:00:00.000Z`) &&
    set.cues.every(({ late }) => late === undefined)
  );
}

/**
 * Whether a text is an existing moment of this century in the format this server writes; rules out a 30th of
 * February.
 */
function isPlainMoment(text: string): boolean {
  const moment = new Date(text);
  return text.startsWith('20') && !Number.isNaN(moment.getTime()) && moment.toISOString() === text;
}

/**
 * Validates a row of a club's file.
 * @returns the row, or its problems
 */
export function checkRow<List extends ClubList>(
  list: List,
  given: unknown,
): InList<List> | readonly Problem[] {
  const of = CLUB_LISTS[list];
  const shape = shapeProblems(of, given);
  if (shape.length > 0) return shape;
  // The shape was checked, so it is an object.
  if (isPlainlyGood(list, given as object)) return given as InList<List>;
  const row = plainToInstance<object, unknown>(of, given);
  const errors = validateSync(row, { whitelist: true, forbidNonWhitelisted: true });
  if (errors.length > 0) return validationProblems(errors);
  if (list === 'sets') goodParts.set(partsOf(given as InList<'sets'>), true);
  if (list !== 'patterns') return row as InList<List>;
  for (const { body } of (row as InList<'patterns'>).versions) {
    const checked = checkPattern(body);
    if (!checked.ok) return [checked.problem];
  }
  return row as InList<List>;
}
