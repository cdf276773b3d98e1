import { loadDemo } from './demo/load-demo.js';
import { prepareDatabase } from './platform/database/prepare.js';
import type { Settings } from './platform/settings.js';
import { TABLES } from './tables.js';

/** Migrates the database and, if asked, loads the demo club. Safe to repeat. */
export const prepare = ({
  demo,
  ...urls
}: Pick<Settings, 'demo' | 'databaseUrl' | 'servingUrl'>): Promise<void> =>
  prepareDatabase(urls, TABLES, async (em) => {
    if (demo !== 'none') await loadDemo(em, demo);
  });
