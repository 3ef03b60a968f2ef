export { WithLibrary } from './LibraryGate.tsx';
export { libraryEndpoints, useRetireRoutineMutation, useRoutinesQuery, useSaveEntryMutation, useSaveRoutineMutation } from './endpoints.ts';
export { asOptions } from './words.ts';
