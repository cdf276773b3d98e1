export {
  REP_COLUMNS,
  REP_DICTIONARY_HEADER,
  repDictionary,
  type RepColumn,
  type RepTableSet,
} from './rep-table.js';
