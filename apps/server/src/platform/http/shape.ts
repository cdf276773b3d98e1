import type { Problem } from '@orthokin/core/result';
// class-transformer's ESM entry does not export its metadata storage.
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage } from 'class-validator';

/** A contract class. */
export type Shaped = new () => object;

/** After so many problems the client has seen enough. */
export const MOST_PROBLEMS = 20;
/** The most elements of a list without a bound of its own, and keys of an object without a class. */
const MOST_ELEMENTS = 1000;
/** The deepest nesting of an object without a class; the evidence of a move is the deepest there is. */
const FREE_DEPTH = 10;
const LONGEST_TEXT = 20_000;
const LARGEST_NUMBER = 1e15;
const SHOWN_LENGTH = 60;
/** Characters PostgreSQL or UTF-8 cannot store: NUL, and unpaired surrogates. */
const NO_CHARACTER = /[\0\p{Surrogate}]/u;

interface Field {
  readonly isArray: boolean;
  readonly most: number;
  readonly isFree: boolean;
  readonly isRequired: boolean;
  /** The class of the object, or of each element. */
  readonly of: Shaped | null;
}

const known = new Map<Shaped, ReadonlyMap<string, Field>>();

/** The shape of each field, from the class's rules; cached. */
function fieldsOf(shape: Shaped): ReadonlyMap<string, Field> {
  const before = known.get(shape);
  if (before) return before;
  const rules = getMetadataStorage().getTargetValidationMetadatas(shape, '', false, false);
  const names = new Set(rules.map(({ propertyName }) => propertyName));
  // Fields with a default may be missing: older files do not have them.
  const filledIn = Object.entries(new shape()).filter(([, value]) => value !== undefined);
  const usual = new Map<string, unknown>(filledIn);
  const fields = new Map<string, Field>();
  for (const name of names) {
    const own = rules.filter(({ propertyName }) => propertyName === name);
    const has = (rule: string) => own.some((each) => each.name === rule);
    const nested = own.find(({ type }) => type === 'nestedValidation');
    const most = own.find((each) => each.name === 'arrayMaxSize')?.constraints as
      readonly [number] | undefined;
    const isArray = has('isArray') || nested?.each === true || most !== undefined;
    fields.set(name, {
      isArray,
      most: most?.[0] ?? MOST_ELEMENTS,
      isFree: has('isObject') && !nested,
      isRequired: !own.some(({ type }) => type === 'conditionalValidation') && !usual.has(name),
      of: nested ? classOf(shape, name) : null,
    });
  }
  known.set(shape, fields);
  return fields;
}

function classOf(shape: Shaped, name: string): Shaped | null {
  const found = defaultMetadataStorage.findTypeMetadata(shape, name) as
    { readonly typeFunction: (help?: unknown) => unknown } | undefined;
  const type = found?.typeFunction();
  return typeof type === 'function' ? (type as Shaped) : null;
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function shown(value: unknown): string {
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (isObject(value)) return 'an object';
  return String(typeof value === 'string' ? JSON.stringify(value) : value).slice(0, SHOWN_LENGTH);
}

/** Ends the walk once there are enough problems. */
class Enough extends Error {}

class Walk {
  readonly problems: Problem[] = [];

  say(field: string, given: string, allowed: string): void {
    this.problems.push({ field, given, allowed });
    if (this.problems.length >= MOST_PROBLEMS) throw new Enough();
  }

  object(shape: Shaped, value: unknown, path: string): void {
    if (!isObject(value)) {
      this.say(path === '' ? 'body' : path, shown(value), 'an object');
      return;
    }
    const fields = fieldsOf(shape);
    for (const name of Object.keys(value))
      if (!fields.has(name))
        this.say(joined(path, name.slice(0, SHOWN_LENGTH)), shown(value[name]), 'no such field');
    for (const [name, field] of fields) {
      const own = Object.hasOwn(value, name) ? value[name] : undefined;
      // Whether a plain field may be null is up to its rules; an object or a list may not be.
      const isNothing = own === undefined || (own === null && (field.of !== null || field.isArray));
      if (isNothing) {
        if (field.isRequired) this.say(joined(path, name), shown(own), 'a value');
      } else this.field(field, own, joined(path, name));
    }
  }

  private field({ isArray, most, isFree, of }: Field, value: unknown, path: string): void {
    if (!isArray) {
      if (of) this.object(of, value, path);
      else if (isFree && value !== null && !isObject(value))
        this.say(path, shown(value), 'an object');
      else this.free(value, path, isFree ? FREE_DEPTH : 1);
    } else if (!Array.isArray(value)) this.say(path, shown(value), 'a list');
    else if (value.length > most) this.say(path, shown(value), `at most ${most}`);
    else
      for (const [i, each] of value.entries())
        if (of) this.object(of, each, `${path}[${i}]`);
        else this.free(each, `${path}[${i}]`, 1);
  }

  /** Checks a value without a class: plain JSON of a sensible size. */
  private free(value: unknown, path: string, depth: number): void {
    if (typeof value === 'string') this.text(value, path);
    else if (typeof value === 'number') {
      if (!(Math.abs(value) <= LARGEST_NUMBER))
        this.say(path, shown(value), `a number up to ${LARGEST_NUMBER}`);
    } else if (typeof value === 'object' && value !== null) {
      const entries = Object.entries(value);
      if (depth <= 0) this.say(path, 'a value with values in it', 'a plain value');
      else if (entries.length > MOST_ELEMENTS)
        this.say(path, `${entries.length} values`, `at most ${MOST_ELEMENTS}`);
      else
        for (const [name, each] of entries) {
          this.text(name, path);
          this.free(each, joined(path, name), depth - 1);
        }
    }
  }

  private text(value: string, path: string): void {
    if (value.length > LONGEST_TEXT)
      this.say(path, `${value.length} characters`, `at most ${LONGEST_TEXT} characters`);
    else if (NO_CHARACTER.test(value))
      this.say(path, 'a text with a character that is none', 'text that can be written');
  }
}

const joined = (path: string, name: string): string => (path === '' ? name : `${path}.${name}`);

/**
 * Checks that a value has the shape of a contract class, before its validation rules run: objects and lists where
 * expected, lists within bounds, no missing or unknown fields, no text that cannot be stored. Stops at {@link
 * MOST_PROBLEMS}, so that the work is bounded by the contract and not by what was sent.
 * @returns the problems found; empty if the shape is right
 */
export function shapeProblems(shape: Shaped, given: unknown): readonly Problem[] {
  const walk = new Walk();
  try {
    walk.object(shape, given, '');
  } catch (error) {
    if (!(error instanceof Enough)) throw error;
  }
  return walk.problems;
}
