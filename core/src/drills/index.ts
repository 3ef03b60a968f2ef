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
export { BREATH_SECONDS, doseInWords, drillSeconds, handLoadDose, tempoInWords, tensionSeconds, UNIT_WORDS, unitSeconds } from './dose.ts';
export { armLoadOf, isOneArmed, strainOf } from './strain.ts';
export { DOSE_UNITS, type Dose, type DoseRange, type DoseUnit, type Tempo } from './doseRange.ts';
export { bladeCue, bladeOf, cuesOf, faultsOf, isOverheadUnderLoad, type StandIn, standInsFor, standInsInWords } from './coaching.ts';
export type { Fault, FaultEntry, FaultId } from './fault.ts';
