import 'reflect-metadata';
import { readFile } from 'node:fs/promises';
import { ImportBody, validationProblems } from '@orthokin/contract';
import { plainToInstance } from 'class-transformer';
import { isUUID, validateSync } from 'class-validator';
import { isPlainRep, isPlainSet, partsOf } from './check-row.js';
import { shapeProblems } from '../../platform/http/shape.js';
import type { WorkAnswer } from '../../platform/work/long-work.js';

const refused = (problems: WorkProblems): WorkAnswer<ImportBody> => ({
  refused: { status: 400, problems },
});
type WorkProblems = Extract<WorkAnswer<unknown>, { refused: unknown }>['refused']['problems'];

const ruleProblems = (body: ImportBody): WorkProblems =>
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

/** The thread's entry point: validates the import in a file against its class. */
export default async function checkImport({
  path,
}: {
  readonly path: string;
}): Promise<WorkAnswer<ImportBody>> {
  const text = await readFile(path, 'utf8');
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return refused([{ field: 'body', given: 'what cannot be read', allowed: 'JSON' }]);
  }
  const shape = shapeProblems(ImportBody, given);
  if (shape.length > 0) return refused(shape);
  // The shape was checked, so it is an object with lists of sets and reps.
  const sent = given as ImportBody;
  const problems = ruleProblems(onlyDoubtful(sent));
  // Validated again as a whole, so that problems name positions in what was sent.
  if (problems.length > 0) return refused(ruleProblems(sent));
  return { value: sent };
}
