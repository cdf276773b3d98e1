import { DEMO_CLUB } from './club.js';
import { exists, freshDatabase, TEMPLATE } from './databases.js';
import { Served } from './served.js';

/** Loads the demo once a run, and what its first page rests on: both take longer than many a story. */
export default async function loadTemplate(): Promise<void> {
  if (process.env['KEEP_TEMPLATE'] && (await exists(TEMPLATE))) return;
  const served = await Served.start(await freshDatabase(TEMPLATE));
  const squad = await fetch(`${served.address}${DEMO_CLUB}/squad`);
  if (!squad.ok) throw new Error(`The demo has no first page: ${await squad.text()}`);
  await served.stop();
}
