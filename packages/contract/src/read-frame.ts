import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import { ok, wrong, type Problem, type Result } from '@orthokin/core/result';
import { validationProblems } from './validation-problems.js';

type Given = Readonly<Record<string, unknown>>;

/** Keys that would hide an object's class from whoever transforms or validates it: left out. */
const withoutClass = (key: string, value: unknown): unknown =>
  key === 'constructor' || key === '__proto__' ? undefined : value;

/** The object in a frame's text; not JSON, or no object, is a problem of the field `frame`. */
export function objectOf(text: string): Result<Given> {
  let given: unknown;
  try {
    given = JSON.parse(text, withoutClass);
  } catch {
    return wrong('frame', text.slice(0, 80), 'JSON');
  }
  return typeof given === 'object' && given !== null && !Array.isArray(given)
    ? ok(given as Given)
    : wrong('frame', text.slice(0, 80), 'a JSON object');
}

/** Reads an object as one of a class, or says which field is wrong. Other fields it lets be. */
export const readAs =
  <Of extends object>(of: ClassConstructor<Of>) =>
  (given: object): Result<Of> => {
    const read = plainToInstance(of, given);
    const [problem]: Problem[] = validationProblems(
      validateSync(read, { forbidUnknownValues: false }),
    );
    return problem ? { ok: false, problem } : ok(read);
  };

/** Reads a frame as the class that one of its fields names; `null` when that names none. */
export function frameOf<Frame extends object>(
  classes: Readonly<Record<string, ClassConstructor<Frame>>>,
  field: string,
  given: Given,
): Result<Frame> | null {
  const name = given[field];
  const of = typeof name === 'string' && Object.hasOwn(classes, name) ? classes[name] : undefined;
  return of ? readAs(of)(given) : null;
}

/** Reads a frame's text by its field `type`. */
export const reader =
  <Frame extends object>(classes: Readonly<Record<string, ClassConstructor<Frame>>>) =>
  (text: string): Result<Frame> => {
    const given = objectOf(text);
    if (!given.ok) return given;
    return (
      frameOf(classes, 'type', given.value) ??
      wrong('type', given.value['type'], Object.keys(classes).join(', '))
    );
  };
