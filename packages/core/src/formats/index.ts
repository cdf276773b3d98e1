export {
  REP_COLUMNS,
  REP_DICTIONARY_HEADER,
  repDictionary,
  type RepColumn,
  type RepTableSet,
} from './rep-table.js';
export { encodeWav } from './wav.js';
export {
  IMPORT_FIELDS,
  matchColumns,
  readRepRows,
  TIME_UNITS,
  type ImportedRep,
  type ImportedSet,
  type ImportField,
  type ImportSettings,
  type ReadTable,
  type TimeUnit,
} from './rep-import.js';
export { SET_COLUMNS, setDictionary, type SetColumn, type SetTableSet } from './set-table.js';
export { type Columns, type NearestName, type RowProblem } from './table-rows.js';
export {
  matchRoster,
  readRoster,
  ROSTER_FIELDS,
  ROSTER_HEADS,
  rosterRow,
  type Known,
  type Roster,
  type RosterField,
  type RosterPerson,
} from './roster.js';
