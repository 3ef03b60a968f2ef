export { useRoutinesQuery } from './endpoints.ts';
export { useDrillOf } from './useDrillOf.ts';
export { useForTrainee } from './useForTrainee.ts';
export { amountInWords, lastsInWords, PURPOSE_WORDS, wayInWords } from './words.ts';
