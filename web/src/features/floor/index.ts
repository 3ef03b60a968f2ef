export { HereOnDevice } from './HereOnDevice.tsx';
export { floorReducer } from './floorRuns.ts';
export { sendWaiting } from './sendWaiting.ts';
