export { useDrillOf } from './useDrillOf.ts';
export { useForTrainee } from './useForTrainee.ts';
export { amountInWords, choiceInWords, lastsInWords, PURPOSE_WORDS, wayInWords } from './words.ts';
