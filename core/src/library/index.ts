export {
  EMPTY_LIBRARY,
  ENTRY_KINDS,
  drillIdNow,
  LIST_OF,
  openLibrary,
  type EntryKind,
  type Library,
  type Planned,
  type LibraryContent,
  type LibraryEntry,
} from './library.ts';
export { fittedTo } from './fit.ts';
export { checkClosedBy, exclusionByCaution } from './exclusion.ts';
export { entryProblems, libraryProblems } from './problems.ts';
export { askingFor, measureChangeProblems } from './measureProblems.ts';
export { merged } from './merge.ts';
export { differences, type Difference } from './compare.ts';
export { drillSearch, type AskedFilter, type DrillFilter, type DrillSearch } from './search.ts';
