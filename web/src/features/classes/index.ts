export { classesReducer } from './classRuns.ts';
export { sendWaitingClasses } from './sendWaitingClasses.ts';
