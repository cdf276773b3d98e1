import 'reflect-metadata';
import { readFile } from 'node:fs/promises';
import { ImportBody, validationProblems } from '@orthokin/contract';
import { plainToInstance } from 'class-transformer';
import { isUUID, validateSync } from 'class-validator';
import { isPlainlyGood } from './check-row.js';
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

/** Without the reps that plain bounds find good; one of each set stays, since a set has some. */
const onlyDoubtful = ({ sets }: ImportBody): ImportBody => ({
  sets: sets.map((set) => ({
    ...set,
    reps: set.reps.filter(
      ({ id, body }, i) =>
        // A club's file may have ids of any kind; who sends something new makes them in order of time.
        i === 0 || !isUUID(id, 7) || !isPlainlyGood('reps', { ...body, id, setId: set.id }),
    ),
  })),
});

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
