export { readEntries, readLibraryFile, writeLibraryFile, type ReadLibrary, type RoutineInFile } from './libraryFile.ts';
export { readDrillsCsv, writeDrillsCsv } from './drillsCsv.ts';
export { librarySchema } from './librarySchema.ts';
export {
  guessTraceChoice,
  openTraceTable,
  TIME_UNITS,
  TRACE_FILE_BYTES,
  traceFrom,
  unitTold,
  VALUE_UNITS,
  writeTraceCsv,
  type ChosenTrace,
  type TimeUnit,
  type TraceChoice,
  type TraceColumn,
  type TraceTable,
  type ValueUnit,
} from './traceTable.ts';
export { tableCsv } from './tableCsv.ts';
