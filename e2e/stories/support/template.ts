import { exists, freshDatabase, TEMPLATE } from './databases.js';
import { Served } from './served.js';

/** Loads the demo once a run: it takes longer than many a story. */
export default async function loadTemplate(): Promise<void> {
  if (process.env['KEEP_TEMPLATE'] && (await exists(TEMPLATE))) return;
  const served = await Served.start(await freshDatabase(TEMPLATE));
  await served.stop();
}
