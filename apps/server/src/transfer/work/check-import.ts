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

/** Who sends something new makes ids in order of time. */
const isNewId = (id: string): boolean => isUUID(id, 7);

/**
 * Without the sets and reps that plain bounds find good. Of sets whose conditions and limits are written alike one
 * stays, for the rules to look at; of each set that stays a rep does, since a set has some.
 */
function onlyDoubtful({ sets }: ImportBody): ImportBody {
  const seen = new Set<string>();
  return {
    sets: sets.flatMap((set) => {
      const { id, body, endedAt, reps } = set;
      // A set of a club's file may have no end, and ids of any kind; one that is sent as over has both.
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

/** The import in a file, held against its class; a thread's whole work. */
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
  // Its shape is right, so it has sets with reps.
  const sent = given as ImportBody;
  const problems = ruleProblems(onlyDoubtful(sent));
  // What is wrong is named by where it stands in what was sent.
  if (problems.length > 0) return refused(ruleProblems(sent));
  return { value: sent };
}
