export { calibrate, type Calibration, type Replay } from './calibrate.ts';
export {
  type CapacityForecast,
  CHECKS_NEEDED,
  expectedIn,
  forecastCapacity,
  type ForecastOptions,
  type PooledGain,
  poolGains,
} from './capacity.ts';
export type { DemandOutlook } from './demand.ts';
export { type DoneSets, type DrillWork, effectOf, USUAL_SETS, type WeeklyDoses, weeklyDoses } from './dose.ts';
export { fanOf, type FanPoint } from './fan.ts';
export { type Deciding, forecastGate, type GateForecast, type GateOutlook, HORIZON_DAYS, WAITING } from './gate.ts';
export { goalOutlook, type GoalFacts, type GoalOutlook } from './goal.ts';
export { type Narrowing, narrowingOf } from './narrowing.ts';
export { outlookOf, type OutlookFacts, trendsOf } from './outlook.ts';
export { scaleOf, type Scale } from './scale.ts';
export type { Blocked } from './waits.ts';
export { usualWeeks, WHAT_IF_LIMITS, whatIf, type WhatIf } from './whatIf.ts';
