export { openLibrary, type Library, type LibraryContent } from './library.ts';
export { exclusionByCaution } from './exclusion.ts';
export { libraryProblems } from './problems.ts';
export { merged } from './merge.ts';
export { differences, type Difference } from './compare.ts';
export { drillSearch, type DrillFilter, type DrillSearch } from './search.ts';
