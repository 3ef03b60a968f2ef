export { forgetErased } from './forgetErasedLater.ts';
export { HereOnDevice } from './HereOnDevice.tsx';
export { TakeAlong } from './TakeAlong.tsx';
export { floorReducer } from './floorRuns.ts';
export { sendWaiting } from './sendWaiting.ts';
export { SymptomSheet } from './SymptomSheetLater.ts';
export type { FeltDraft } from './useHurting.ts';
