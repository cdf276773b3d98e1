import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import { ok, wrong, type Problem, type Result } from '@orthokin/core/result';
import { validationProblems } from './validation-problems.js';

type Given = Readonly<Record<string, unknown>>;

/** Drops keys that would confuse class-transformer and class-validator about an object's class. */
const withoutClass = (key: string, value: unknown): unknown =>
  key === 'constructor' || key === '__proto__' ? undefined : value;

/** Parses a frame as a JSON object, or gives a problem of the field `frame`. */
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

/** Validates an object as a class, or says which field is wrong. Unknown fields are ignored. */
export const readAs =
  <Of extends object>(of: ClassConstructor<Of>) =>
  (given: object): Result<Of> => {
    const read = plainToInstance(of, given);
    const [problem]: Problem[] = validationProblems(
      validateSync(read, { forbidUnknownValues: false }),
    );
    return problem ? { ok: false, problem } : ok(read);
  };

/** Validates a frame as the class named by one of its fields; `null` if that names none. */
export function frameOf<Frame extends object>(
  classes: Readonly<Record<string, ClassConstructor<Frame>>>,
  field: string,
  given: Given,
): Result<Frame> | null {
  const name = given[field];
  const of = typeof name === 'string' && Object.hasOwn(classes, name) ? classes[name] : undefined;
  return of ? readAs(of)(given) : null;
}

/** Makes a parser for frames that are told apart by their field `type`. */
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
