export { buildOf } from './buildOf.ts';
export { traineeEndpoints, useTraineeQuery } from './endpoints.ts';
export { personOf } from './person.ts';
export { useCurrentBody, useCurrentTrainee } from './useCurrentTrainee.ts';
export { useFittedLibrary } from './useFittedLibrary.ts';
