export { loggedHandLoad, sessionLoad, type DoneItem, type HandLoadByJoint, type HandLoadTotals } from './handLoad.ts';
