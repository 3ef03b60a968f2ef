export {
  EQUIPMENT,
  EQUIPMENT_IDS,
  effortInWords,
  handLoadInWords,
  isLoaded,
  LOADING_PHASES,
  PHASES,
  POSITIONS,
  QUALITIES,
  type Drill,
  type Effort,
  type Equipment,
  type HandLoad,
  type Phase,
  type Position,
  type Quality,
} from './drill.ts';
export {
  BREATH_SECONDS,
  courseInWords,
  eachWay,
  takesTurns,
  doseInWords,
  drillSeconds,
  handLoadDose,
  PULSE_SECONDS,
  setSeconds,
  tempoInWords,
  tensionSeconds,
  type Timed,
  UNIT_WORDS,
  unitSeconds,
} from './dose.ts';
export {
  isHeavier,
  KG_LIMITS,
  mannerInWords,
  mannersNear,
  mostKg,
  plannedDoseInWords,
  sameManner,
  slower,
  stepped,
  takes,
} from './manner.ts';
export { armLoadOf, isOneArmed, strainOf } from './strain.ts';
export {
  BANDS,
  COURSE_LIMITS,
  type Course,
  DOSE_UNITS,
  HELPER_DEEDS,
  type HelperDeed,
  type Band,
  type Manner,
  type Dose,
  type DoseRange,
  type DoseUnit,
  type Tempo,
} from './doseRange.ts';
export {
  bladeCue,
  bladeOf,
  breathOf,
  cuesOf,
  faultIn,
  faultsOf,
  isOverheadUnderLoad,
  type StandIn,
  standInsFor,
  standInsInWords,
} from './coaching.ts';
export type { Fault, FaultEntry, FaultId, FaultNote, FaultWords } from './fault.ts';
export { isOnForearms, situationOf } from './placed.ts';
export { SITUATIONS, type Situation } from './situation.ts';
export { type Breath, BREATHS, type Breathing, MOVE_PARTS, type MovePart, type Teaching, type TeachingStep } from './teaching.ts';
