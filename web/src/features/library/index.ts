export { libraryEndpoints, useSaveEntryMutation } from './endpoints.ts';
export { asOptions } from './words.ts';
