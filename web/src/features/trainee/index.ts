export { buildOf } from './buildOf.ts';
export { traineeEndpoints } from './endpoints.ts';
export { personOf } from './person.ts';
export { useCurrentBody, useCurrentTrainee } from './useCurrentTrainee.ts';
export { useFittedLibrary } from './useFittedLibrary.ts';
