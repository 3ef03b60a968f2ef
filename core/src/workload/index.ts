export { loggedHandLoad, sessionLoad, type DoneItem, type HandLoadTotals } from './handLoad.ts';
