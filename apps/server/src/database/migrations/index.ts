import { Migration20261124GroundTables } from './20261124-ground-tables.js';
import { Migration20261125PatternVersions } from './20261125-pattern-versions.js';

/** In the order in which they run; never change one that has been released. */
export const MIGRATIONS = [
  { name: '20261124-ground-tables', class: Migration20261124GroundTables },
  { name: '20261125-pattern-versions', class: Migration20261125PatternVersions },
];
