export { useLibrary, useSchools, useStudioLibrary } from './LibraryContext.ts';
export { libraryEndpoints, useSaveDrillMutation, useSaveLadderMutation } from './endpoints.ts';
export { asOptions } from './words.ts';
