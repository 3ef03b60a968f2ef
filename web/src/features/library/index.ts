export { WithLibrary } from './LibraryGate.tsx';
export { libraryEndpoints, useSaveEntryMutation } from './endpoints.ts';
export { asOptions } from './words.ts';
