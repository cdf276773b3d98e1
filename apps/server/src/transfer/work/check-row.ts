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
/** As far as they tell a day from a moment: which there are is looked at apart. */
const FORMATS = { uuid: UUID, date: /^[\d-]+$/, 'date-time': /T/ };
const SCHEMAS = '#/$defs/';

interface ClassSchema {
  readonly properties?: Record<string, unknown>;
  readonly required?: readonly string[];
}

/** The lists whose rows are held against compiled rules. */
type ManyRows = Extract<ClubList, 'reps' | 'sets'>;

const compiled = new Map<ManyRows, ValidateFunction>();
let allSchemas: Record<string, ClassSchema> | null = null;

/** The schema of a list's rows, without the fields that are looked at apart from it. */
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

/** Compiles what rows are held against, before there are some: it takes as long as some hundred of them. */
export function compileRules(): void {
  rulesOf('sets');
  rulesOf('reps');
}

function bySchema(list: ManyRows, row: object): boolean {
  // A schema knows of fields that may be missing, not of nothing in their place.
  return rulesOf(list)(
    Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)),
  );
}

/** Conditions and limits that the rules themselves found good: a club has few that differ. */
const goodParts = new LRUCache<string, true>({ max: 1000 });
/** Those two as one text: what the rules say of them they say of all that are written alike. */
export const partsOf = ({
  conditions,
  limitsMs,
}: Pick<InList<'sets'>, 'conditions' | 'limitsMs'>) => JSON.stringify([conditions, limitsMs]);

/**
 * Reps and sets are many, and their rules are plain bounds: compiled, they are held against a row some
 * hundred times faster. What depends on something else (a pace's steps, a correction) is not among
 * them, nor are moments. Whatever does not pass here is read by the rules themselves, which say why.
 */
function isPlainlyGood(list: ClubList, row: object): boolean {
  if (list === 'reps') return isPlainRep(row);
  return list === 'sets' && isPlainSet(row) && goodParts.has(partsOf(row as InList<'sets'>));
}

/** Whether a rep of the right shape is among those that plain bounds find good. */
export function isPlainRep(row: object): boolean {
  const { corrected, replaces } = row as InList<'reps'>;
  return corrected == null && replaces == null && bySchema('reps', row);
}

/** The same of a set, but for its conditions and limits. */
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

/** Whether a text is a moment of this century as this server writes moments; there is none like the 30th of February. */
function isPlainMoment(text: string): boolean {
  const moment = new Date(text);
  return text.startsWith('20') && !Number.isNaN(moment.getTime()) && moment.toISOString() === text;
}

/** A row of a club's file held against its class: the row, or what is wrong with it. */
export function checkRow<List extends ClubList>(
  list: List,
  given: unknown,
): InList<List> | readonly Problem[] {
  const of = CLUB_LISTS[list];
  const shape = shapeProblems(of, given);
  if (shape.length > 0) return shape;
  // Its shape is right, so it is an object.
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
