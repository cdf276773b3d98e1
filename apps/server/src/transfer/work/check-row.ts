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

type Schema = Readonly<Record<string, unknown>>;
interface ClassSchema extends Schema {
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
}

/** Lists with so many rows that their rules are compiled. */
type ManyRows = Extract<ClubList, 'reps' | 'sets'>;

const NOTHING = { type: 'null' };
/** What the compiled rules leave to others, or accept only where it is missing. */
const APART: Readonly<Record<ManyRows, Readonly<Record<string, Schema>>>> = {
  sets: { conditions: {}, limitsMs: {} },
  reps: { replaces: NOTHING, corrected: NOTHING },
};

const compiled = new Map<ManyRows, ValidateFunction>();
let allSchemas: Readonly<Record<string, ClassSchema>> | null = null;

/** The JSON Schema of a list's rows: nothing but the fields of its classes, and null where a field may be missing. */
function schemaOf(list: ManyRows): object {
  const { name } = CLUB_LISTS[list];
  const all = (allSchemas ??= schemasUnder(SCHEMAS) as Record<string, ClassSchema>);
  const closed = Object.entries(all).map(([of, schema]): [string, Schema] => [
    of,
    { ...schema, additionalProperties: false },
  ]);
  const { properties = {}, required = [], ...own } = all[name] ?? {};
  const orNull = Object.entries(properties).map(([field, schema]): [string, Schema] => [
    field,
    required.includes(field) ? schema : { anyOf: [schema, NOTHING] },
  ]);
  const row = {
    ...{ ...own, required, additionalProperties: false },
    properties: { ...Object.fromEntries<Schema>(orNull), ...APART[list] },
  };
  return {
    $ref: `${SCHEMAS}${name}`,
    $defs: { ...Object.fromEntries<Schema>(closed), [name]: row },
  };
}

function rulesOf(list: ManyRows): ValidateFunction {
  const rules = compiled.get(list) ?? new Ajv({ formats: FORMATS }).compile(schemaOf(list));
  compiled.set(list, rules);
  return rules;
}

/** Compiles the rules in advance, which takes as long as validating some hundred rows. */
export function compileRules(): void {
  rulesOf('sets');
  rulesOf('reps');
}

/** Conditions and limits already accepted by the class's rules; a club has few different ones. */
const goodParts = new LRUCache<string, true>({ max: 1000 });
/** Conditions and limits as a text: equal texts get the same verdict. */
export const partsOf = ({
  conditions,
  limitsMs,
}: Pick<InList<'sets'>, 'conditions' | 'limitsMs'>) => JSON.stringify([conditions, limitsMs]);

/**
 * Whether the compiled rules accept a rep or a set of the right shape, which is some hundred times faster than its
 * class's. They leave out what depends on other fields (a pace's steps, a correction) and moments. A row they do not
 * accept is checked by its class, which says what is wrong.
 */
function isPlainlyGood(list: ClubList, row: object): boolean {
  if (list === 'reps') return isPlainRep(row);
  return list === 'sets' && isPlainSet(row) && goodParts.has(partsOf(row as InList<'sets'>));
}

/**
 * Whether the compiled rules accept a rep. They bound all of it, so its shape need not be checked first, except for
 * characters that cannot be stored.
 */
export const isPlainRep = (row: unknown): boolean => rulesOf('reps')(row);

/** Whether the compiled rules accept a set of the right shape, except for its conditions and limits. */
export function isPlainSet(row: object): boolean {
  if (!rulesOf('sets')(row)) return false;
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
 * @param json the text the row was parsed from, if there is any: without escapes in it a rep is validated in a fraction
 *   of the time, as it can have no character in it that cannot be stored
 * @returns the row, or its problems
 */
export function checkRow<List extends ClubList>(
  list: List,
  given: unknown,
  json: string | null = null,
): InList<List> | readonly Problem[] {
  if (list === 'reps' && json?.includes('\\') === false && isPlainRep(given))
    return given as InList<List>;
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
