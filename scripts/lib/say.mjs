/** An error the person at the keyboard can fix; printed as a sentence, without a stack. */
export class Refusal extends Error {}

/** @param {string} line */
export const say = (line) => process.stdout.write(`${line}\n`);

/** The message of something thrown. @param {unknown} error */
export const reasonOf = (error) => (error instanceof Error ? error.message : String(error));

/**
 * Runs a command's main function; a refusal is printed as its sentence and ends with status 1.
 * @param {() => Promise<number>} main resolves to the exit status
 */
export async function run(main) {
  try {
    process.exitCode = await main();
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 1;
  }
}
