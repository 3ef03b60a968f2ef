export { readEntries, readLibraryFile, writeLibraryFile, type ReadLibrary } from './libraryFile.ts';
export { readDrillsCsv, writeDrillsCsv } from './drillsCsv.ts';
export { librarySchema } from './librarySchema.ts';
export { readTraceCsv, TRACE_FILE_BYTES, writeTraceCsv } from './traceCsv.ts';
