import { Migration20261124GroundTables } from './20261124-ground-tables.js';
import { Migration20261125PatternVersions } from './20261125-pattern-versions.js';
import { Migration20261126SetConditions } from './20261126-set-conditions.js';
import { Migration20261127Review } from './20261127-review.js';
import { Migration20261128Standings } from './20261128-standings.js';
import { Migration20261129Ladders } from './20261129-ladders.js';
import { Migration20261130DayForm } from './20261130-day-form.js';
import { Migration20261202Order } from './20261202-order.js';
import { Migration20261203Imports } from './20261203-imports.js';
import { Migration20261204People } from './20261204-people.js';
import { Migration20261205Care } from './20261205-care.js';
import { Migration20261206SquadNeeds } from './20261206-squad-needs.js';
import { Migration20261207WorksOn } from './20261207-works-on.js';
import { Migration20261208Plans } from './20261208-plans.js';
import { Migration20261209Sessions } from './20261209-sessions.js';
import { Migration20261210Programmes } from './20261210-programmes.js';
import { Migration20261211Scores } from './20261211-scores.js';
import { Migration20261212HomePractice } from './20261212-home-practice.js';
import { Migration20261213Accounts } from './20261213-accounts.js';
import { Migration20261214Privacy } from './20261214-privacy.js';
import { Migration20261215Passkeys } from './20261215-passkeys.js';
import { Migration20261216SelfChecks } from './20261216-self-checks.js';

/** In the order in which they run; never change one that has been released. */
export const MIGRATIONS = [
  { name: '20261124-ground-tables', class: Migration20261124GroundTables },
  { name: '20261125-pattern-versions', class: Migration20261125PatternVersions },
  { name: '20261126-set-conditions', class: Migration20261126SetConditions },
  { name: '20261127-review', class: Migration20261127Review },
  { name: '20261128-standings', class: Migration20261128Standings },
  { name: '20261129-ladders', class: Migration20261129Ladders },
  { name: '20261130-day-form', class: Migration20261130DayForm },
  { name: '20261202-order', class: Migration20261202Order },
  { name: '20261203-imports', class: Migration20261203Imports },
  { name: '20261204-people', class: Migration20261204People },
  { name: '20261205-care', class: Migration20261205Care },
  { name: '20261206-squad-needs', class: Migration20261206SquadNeeds },
  { name: '20261207-works-on', class: Migration20261207WorksOn },
  { name: '20261208-plans', class: Migration20261208Plans },
  { name: '20261209-sessions', class: Migration20261209Sessions },
  { name: '20261210-programmes', class: Migration20261210Programmes },
  { name: '20261211-scores', class: Migration20261211Scores },
  { name: '20261212-home-practice', class: Migration20261212HomePractice },
  { name: '20261213-accounts', class: Migration20261213Accounts },
  { name: '20261214-privacy', class: Migration20261214Privacy },
  { name: '20261215-passkeys', class: Migration20261215Passkeys },
  { name: '20261216-self-checks', class: Migration20261216SelfChecks },
];
