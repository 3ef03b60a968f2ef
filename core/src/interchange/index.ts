export { readEntries, readLibraryFile, writeLibraryFile, type ReadLibrary } from './libraryFile.ts';
export { readDrillsCsv, writeDrillsCsv } from './drillsCsv.ts';
export { librarySchema } from './librarySchema.ts';
