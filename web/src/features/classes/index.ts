export { ClassesHere } from './ClassesHere.tsx';
export { classesReducer } from './classRuns.ts';
export { forgetErasedInClasses, sendWaitingClasses } from './waitingLater.ts';
