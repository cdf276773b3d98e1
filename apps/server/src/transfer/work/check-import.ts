import { readFile } from 'node:fs/promises';
import { ImportBody, validationProblems } from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';
import { plainToInstance } from 'class-transformer';
import { isUUID, validateSync } from 'class-validator';
import { shapeProblems } from '../../platform/http/shape.js';
import { isPlainRep, isPlainSet, partsOf } from './check-row.js';
import { Unreadable, unreadable } from './unpack.js';

const ruleProblems = (body: ImportBody): readonly Problem[] =>
  validationProblems(
    validateSync(plainToInstance(ImportBody, body), {
      ...{ whitelist: true, forbidNonWhitelisted: true },
    }),
  );

/** New rows have UUIDv7s, whose order is their order in time. */
const isNewId = (id: string): boolean => isUUID(id, 7);

/**
 * The import without the sets and reps that the compiled rules accept. Of sets with the same conditions and limits
 * one is kept for the class's rules, and of each kept set one rep, since a set may not be empty.
 */
function onlyDoubtful({ sets }: ImportBody): ImportBody {
  const seen = new Set<string>();
  return {
    sets: sets.flatMap((set) => {
      const { id, body, endedAt, reps } = set;
      // The compiled rules are those of club files, which allow sets without an end and ids of any version; an import
      // does not.
      const isPlain =
        isNewId(id) &&
        typeof endedAt === 'string' &&
        isPlainSet({ ...body, id, endedAt, endReason: 'completed' });
      const doubtful = reps.filter(
        (rep) => !isNewId(rep.id) || !isPlainRep({ ...rep.body, id: rep.id, setId: id }),
      );
      const parts = partsOf(body);
      if (isPlain && seen.has(parts) && reps.length > 0 && doubtful.length === 0) return [];
      seen.add(parts);
      return [{ ...set, reps: doubtful.length > 0 ? doubtful : reps.slice(0, 1) }];
    }),
  };
}

/**
 * Reads an import from a file, and validates it against its class.
 * @throws Unreadable if it is not valid
 */
export async function checkImport(path: string): Promise<ImportBody> {
  const text = await readFile(path, 'utf8');
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    throw unreadable('body', 'what cannot be read', 'JSON');
  }
  const shape = shapeProblems(ImportBody, given);
  if (shape.length > 0) throw new Unreadable(shape);
  // The shape was checked, so it is an object with lists of sets and reps.
  const sent = given as ImportBody;
  // Validated again as a whole if need be, so that problems name positions in what was sent.
  if (ruleProblems(onlyDoubtful(sent)).length > 0) throw new Unreadable(ruleProblems(sent));
  return sent;
}
