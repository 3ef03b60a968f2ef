export { loggedHandLoad, sessionLoad, type DoneItem, type HandLoadByJoint, type HandLoadBySide, type HandLoadTotals } from './handLoad.ts';
export { armLoads, type ArmLoads, jointRamps, type HandLoadedSession, type JointRamp } from './jointRamp.ts';
export { ACUTE_DAYS, CHRONIC_DAYS, loadDays, weekLoad, type LoadDay, type LoadedSession, type WeekLoad } from './weekLoad.ts';
