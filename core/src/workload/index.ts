export { loggedHandLoad, sessionLoad, type DoneItem, type HandLoadByJoint, type HandLoadTotals } from './handLoad.ts';
export { jointRamps, type HandLoadedSession, type JointRamp } from './jointRamp.ts';
export { ACUTE_DAYS, CHRONIC_DAYS, loadDays, weekLoad, type LoadDay, type LoadedSession, type WeekLoad } from './weekLoad.ts';
